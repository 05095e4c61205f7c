import { describe, expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES } from '~~/core/house'
import { JOINTS, PASSES, rodAngles } from '~~/core/setup'
import { PAD_POSITIONS } from '~~/core/trade'
import { rodAngleViews, viewSvg, type DrawnAngles, type Shape } from './rodAngles'

const aCase = (change: Partial<DrawnAngles & { pass: 'root' }> = {}): DrawnAngles => {
  const base = { joint: 'pad', position: '1G', travel: 'left to right', hand: 'right', ...change } as DrawnAngles
  return {
    ...base,
    angles: rodAngles(
      { classification: 'E7018', pass: change.pass ?? PASSES[base.joint][0]!, ...base },
      DEFAULT_HOUSE_RULES,
    ),
  }
}
const points = (shape: Shape) =>
  [...shape.d.matchAll(/(?<![\d.])(-?[\d.]+) (-?[\d.]+)/g)].map(found => [Number(found[1]), Number(found[2])] as const)
const shape = (view: { shapes: readonly Shape[] }, kind: Shape['kind']) => view.shapes.find(one => one.kind === kind)!
/** From the tip of the rod to its holder. */
const lean = (view: { shapes: readonly Shape[] }) => {
  const [tip] = points(shape(view, 'square'))
  const holder = points(shape(view, 'core')).at(-1)!
  return { x: holder[0] - tip![0], y: holder[1] - tip![1] }
}
const degrees = (across: number, out: number) => (Math.atan2(across, out) * 180) / Math.PI

describe('the side view', () => {
  it('leans the holder toward the travel when dragging, to angle', () => {
    const { x, y } = lean(rodAngleViews(aCase())[0])
    expect(degrees(x, -y)).toBeCloseTo(12.5, 0)
  })
  it('is mirrored for travel the other way', () => {
    expect(lean(rodAngleViews(aCase({ travel: 'right to left', hand: 'left' }))[0]).x).toBeCloseTo(
      -lean(rodAngleViews(aCase())[0]).x,
      6,
    )
  })
  it('stands up for vertical, and pushes: the holder hangs under the tip', () => {
    const { x, y } = lean(rodAngleViews(aCase({ position: '3G', travel: 'up' }))[0])
    expect(x).toBeGreaterThan(30)
    expect(degrees(y, x)).toBeCloseTo(7.5, 0)
    expect(lean(rodAngleViews(aCase({ position: '3G', travel: 'up', hand: 'left' }))[0]).x).toBeCloseTo(-x, 6)
  })
  it('comes from below for overhead', () =>
    expect(lean(rodAngleViews(aCase({ position: '4G' }))[0]).y).toBeGreaterThan(30))
  it('pushes a keyhole that climbs, and drags a flat one', () => {
    const root = (more: object) => rodAngleViews(aCase({ joint: 'V, open root', pass: 'root', ...more }))[0].angle
    expect(root({ position: '3G', travel: 'up' })).toBe('push 10–15°')
    expect(root({})).toBe('drag 10–15°')
  })
})

describe('the end view', () => {
  it('points up on a horizontal line: the holder is lower than the tip', () => {
    const view = rodAngleViews(aCase({ position: '2G' }))[1]
    expect(view.angle).toBe('points up 5–10°')
    expect(lean(view).y).toBeGreaterThan(0)
    expect(lean(view).x).toBeGreaterThan(30)
  })
  it('stands at 45 from the lower plate of a T', () => {
    const { x, y } = lean(rodAngleViews(aCase({ joint: 'T' }))[1])
    expect(degrees(-y, x)).toBeCloseTo(45, 0)
  })
})

it('every joint in every position stays inside its box', () => {
  for (const joint of JOINTS) {
    for (const { id, travel } of PAD_POSITIONS) {
      for (const hand of ['right', 'left'] as const) {
        for (const view of rodAngleViews(aCase({ joint, position: id, travel: travel[0], hand }))) {
          for (const [x, y] of view.shapes.flatMap(points))
            expect(x >= 10 && x <= 110 && y >= 2 && y <= 98, `${joint} ${id} ${view.caption} ${x} ${y}`).toBe(true)
        }
      }
    }
  }
})

it('is an SVG of its own for paper, with nothing in it but paths', () => {
  const svg = viewSvg(rodAngleViews(aCase())[0])
  expect(svg).toMatch(/^<svg [^>]+>(<path [^>]+\/>)+<\/svg>$/)
  expect(svg).not.toContain('NaN')
})
