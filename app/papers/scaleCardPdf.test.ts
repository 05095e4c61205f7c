import { expect, it } from 'vitest'
import { scaleCardDocument } from './scaleCardPdf'

/** The circles of the first card, in points of 1/72 in. */
const circles = () => {
  const [, , card] = scaleCardDocument().content as unknown as [
    unknown,
    unknown,
    { canvas: { type: string; x: number; y: number; r1: number; color?: string }[] },
  ]
  return card.canvas.filter(part => part.type === 'ellipse')
}

it('the rings of a scale card stand 3 in and 2 in apart on the paper, the fifth 3/4 in from its corner', () => {
  const rings = circles().filter((_, n) => n % 3 === 0)
  const apart = (one: number, other: number) =>
    Math.hypot(rings[one]!.x - rings[other]!.x, rings[one]!.y - rings[other]!.y) / 72
  expect([apart(0, 1), apart(2, 3), apart(1, 2), apart(0, 3), apart(0, 4)].map(inches => inches.toFixed(4))).toEqual([
    '3.0000',
    '3.0000',
    '2.0000',
    '2.0000',
    '0.7500',
  ])
})
it('each is a black ring of 12 mm about a black dot', () => {
  expect(circles().map(({ r1, color }) => [((2 * r1 * 25.4) / 72).toFixed(1), color])).toEqual(
    Array.from({ length: 5 }, () => [
      ['12.0', '#000'],
      ['7.5', '#fff'],
      ['3.6', '#000'],
    ]).flat(),
  )
})
