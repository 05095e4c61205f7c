import { describe, expect, it } from 'vitest'
import { newReading, type CouponDocument, type GaugeKind } from '../coupon'
import { aCoupon, aFlaw } from '../coupon/example'
import { DEFAULT_HOUSE_RULES } from '../house'
import { inches } from '../units'
import { gradeCoupon, laps, measureCoupon, offStraight, restartQualities, straightness, undercutDepths } from '.'

const rules = DEFAULT_HOUSE_RULES
type Read = [beadId: string, atIn: number, valueIn: number]
const read = (of: GaugeKind, found: readonly Read[]): CouponDocument => {
  const document = aCoupon()
  return {
    ...document,
    marks: [
      ...document.marks,
      ...found.map(([beadId, at, value], n) =>
        newReading(`${of} ${n}`, of, { beadId, atMm: inches(at) }, inches(value)),
      ),
    ],
  }
}
const element = (document: CouponDocument, id: string) =>
  measureCoupon(document, rules).elements.find(row => row.element === id)!

describe('straightness by the minimum zone (ISO 12780-1; worked by hand)', () => {
  it.each<[string, [number, number][], number]>([
    [
      'two points are always straight',
      [
        [0, 0],
        [10, 9],
      ],
      0,
    ],
    [
      'a line, however it slants, is straight',
      [
        [0, 1],
        [50, 2],
        [150, 4],
      ],
      0,
    ],
    [
      'a bow is half its height off',
      [
        [0, 0],
        [50, 2],
        [100, 0],
      ],
      1,
    ],
    [
      'an S is off by what its zone is wide',
      [
        [0, 0],
        [1, 1],
        [2, -1],
        [3, 0],
      ],
      0.75,
    ],
    [
      'least squares would say more: one point out of many in line',
      [
        [0, 0],
        [1, 0],
        [2, 0],
        [3, 2],
        [4, 0],
      ],
      1,
    ],
  ])('%s', (_, points, off) => expect(offStraight(points.map(([x, y]) => ({ x, y })))).toBeCloseTo(off, 9))

  it('is never more than from the least squares line, nor turned by the slant of the whole', () => {
    const points = Array.from({ length: 12 }, (_, n) => ({ x: n * 10, y: Math.sin(n * 1.7) * 2 }))
    const mean = (of: (point: { x: number; y: number }) => number) =>
      points.reduce((sum, point) => sum + of(point), 0) / points.length
    const slope =
      (mean(p => p.x * p.y) - mean(p => p.x) * mean(p => p.y)) / (mean(p => p.x * p.x) - mean(p => p.x) ** 2)
    const worst = Math.max(...points.map(p => Math.abs(p.y - mean(q => q.y) - slope * (p.x - mean(q => q.x)))))
    expect(offStraight(points)).toBeLessThanOrEqual(worst)
    expect(offStraight(points.map(p => ({ x: p.x, y: p.y + 0.3 * p.x })))).toBeCloseTo(offStraight(points), 9)
  })
  it('holds 1/16 in at the limit, and not a hair more', () => {
    const bowed = (by: number) =>
      read('edge to toe', [
        ['b2', 0.5, 1],
        ['b2', 3, 1 + by],
        ['b2', 5.5, 1],
      ])
    expect(straightness(bowed(1 / 8), rules)[0]!.offMm).toBeCloseTo(inches(1 / 16), 9)
    expect(element(bowed(1 / 8), 'straightness').sound).toBe(6)
    expect(element(bowed(1 / 8 + 1 / 64), 'straightness')).toMatchObject({
      tried: 6,
      sound: 5,
      markIds: ['edge to toe 0', 'edge to toe 1', 'edge to toe 2'],
    })
  })
  it('looks at as much of a bead as the house holds it over', () => {
    const long = read('edge to toe', [
      ['b1', 0.5, 1],
      ['b1', 2, 1.25],
      ['b1', 5.5, 1],
    ])
    expect(straightness(long, { straight: { ...rules.straight, perMm: inches(4) } })[0]!.offMm).toBe(0)
  })
})

describe('the lap of two beads', () => {
  const pair = (next: number) =>
    read('edge to toe', [
      ['b1', 1, 1],
      ['b1', 5, 1],
      ['b2', 1, next],
      ['b2', 5, next],
    ])
  const width = aCoupon().beads[0]!.widthMm / 25.4
  it('is what no longer shows of the bead before', () => {
    expect(laps(pair(1 + width * 0.6))[0]!.share).toBeCloseTo(0.4, 9)
    expect(laps(pair(1 + width * 1.2))[0]!.share).toBeCloseTo(-0.2, 9)
    expect(laps(pair(1))).toHaveLength(1)
  })
  it('goes by the width that was gauged', () => {
    const document = pair(1.15)
    const gauged = {
      ...document,
      marks: [...document.marks, newReading('w', 'width', { beadId: 'b1', atMm: 20 }, inches(0.3))],
    }
    expect(laps(gauged)[0]!.share).toBeCloseTo(0.5, 9)
    expect(element(gauged, 'overlap').sound).toBe(5)
  })
  it('counts against the lap of beads outside the house’s shares', () => {
    expect(element(pair(1 + width * 0.75), 'overlap')).toMatchObject({ tried: 5, sound: 4 })
    expect(gradeCoupon(pair(1 + width * 0.75), rules).verdict).toBe('move on')
  })
})

it('undercut is summed by how deep it is; at the limit it is of the shallower class', () => {
  const document = aCoupon()
  const marks = [1 / 64, 1 / 32, 1 / 32 + 1 / 128, 3 / 32].map((deep, n) =>
    aFlaw({ id: `u${n}`, sizeMm: inches(deep) }),
  )
  const lengths = undercutDepths({ ...document, marks: [...document.marks, ...marks] }).map(
    row => Math.round(row.lengthMm / 2.54) / 10,
  )
  expect(lengths).toEqual([1, 1, 1, 1])
})

it('restarts fail by height, width, line, or for want of cleaning', () => {
  const document = aCoupon({ ticket: { rods: 'stubs' } })
  const faults = ['gap', 'wide', 'off line', 'slag', 'high', null]
  const restarts = document.marks.filter(mark => mark.kind === 'restart').slice(0, 6)
  const marks = document.marks.map(mark =>
    restarts.includes(mark)
      ? ({ ...mark, degree: 'poor', fault: faults[restarts.indexOf(mark)]! } as typeof mark)
      : mark,
  )
  const { tried, failed } = restartQualities({ ...document, marks })
  expect(tried).toBe(document.marks.filter(mark => mark.kind === 'restart').length)
  expect(Object.values(failed).map(ids => ids.length)).toEqual([2, 1, 1, 1])
})

describe('the height of a pad’s beads', () => {
  const every = ['b1', 'b2', 'b3', 'b4', 'b5', 'b6']
  const high = (inch: number, beads = every) =>
    gradeCoupon(
      read(
        'height',
        beads.map((id): Read => [id, 3, inch]),
      ),
      rules,
    )
  it.each([
    [3 / 8, 'run it again'],
    [3 / 16, 'run it again'],
    [1 / 8, 'move on'],
    [3.2 / 25.4, 'move on'],
    [1 / 16, 'move on'],
    [1 / 32, 'run it again'],
  ] as const)('%d in on every bead: %s', (inch, verdict) => expect(high(inch).verdict).toBe(verdict))
  it('is said with what it should be, and one bead of six is no verdict', () => {
    expect(high(3 / 8).reasons[0]!.text).toBe('6 of 6 beads off in height, wants 1/16 in to 1/8 in')
    expect(high(3 / 8, ['b2']).verdict).toBe('move on')
    expect(high(3 / 8, ['b2', 'b4']).verdict).toBe('run it again')
  })
  it('goes by the house’s rule', () => {
    const taller = { ...rules, heightMm: { low: inches(1 / 8), high: inches(3 / 8) } }
    const document = read(
      'height',
      every.map((id): Read => [id, 3, 3 / 8]),
    )
    expect(gradeCoupon(document, taller).verdict).toBe('move on')
  })
})
