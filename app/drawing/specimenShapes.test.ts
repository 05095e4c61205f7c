import { expect, it } from 'vitest'
import { labelAt, leftOver, sector } from './specimenShapes'

it('a quarter of a pipe from 12 to 3 o’clock', () => {
  expect(sector({ fromMm: 0, toMm: 90 }, 360, 50, 40)).toBe(
    'M0.00 -50.00 A50 50 0 0 1 50.00 -0.00 L40.00 -0.00 A40 40 0 0 0 0.00 -40.00 Z',
  )
  expect(sector({ fromMm: 0, toMm: 270 }, 360, 50, 40)).toContain('0 1 1')
})
it('a label stands in the middle, by degrees from the top; one over 12 o’clock too', () => {
  expect(labelAt({ fromMm: 80, toMm: 100 }, 360, 10)).toEqual({ x: 10, y: -0, degrees: 90 })
  expect(labelAt({ fromMm: -10, toMm: 10 }, 360, 10).degrees).toBe(0)
})
it('what is left of a plate lies between the cuts and at the ends', () => {
  expect(
    leftOver(
      [
        { fromMm: 100, toMm: 140 },
        { fromMm: 30, toMm: 68 },
      ],
      178,
    ),
  ).toEqual([
    { fromMm: 0, toMm: 30 },
    { fromMm: 68, toMm: 100 },
    { fromMm: 140, toMm: 178 },
  ])
  expect(leftOver([{ fromMm: 0, toMm: 100 }], 100)).toEqual([])
})
