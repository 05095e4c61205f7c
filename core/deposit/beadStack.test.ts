import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { rodSizeOf } from '../trade'
import { inches } from '../units'
import {
  jointSection,
  layBead,
  planStack,
  stackTotals,
  type JointShape,
  type StackPlan,
  type StackPlanner,
  type Surface,
} from '.'

const V12: JointShape = {
  kind: 'V',
  backing: false,
  groove: { thicknessMm: 12, gapMm: 2.4, landMm: 1.6, includedDegrees: 60 },
}
const BACKED: JointShape = {
  kind: 'V',
  backing: true,
  groove: { thicknessMm: inches(3 / 8), gapMm: inches(1 / 4), landMm: 0, includedDegrees: 45 },
}
const U30: JointShape = { kind: 'U', thicknessMm: 30, gapMm: 3, landMm: 3, radiusMm: 6, bevelDegrees: 10 }
const aPlanner = (change: Partial<StackPlanner> = {}): StackPlanner => ({
  shape: V12,
  position: '1G',
  coreMm: inches(1 / 8),
  rootCoreMm: inches(3 / 32),
  stringersOnly: false,
  overlap: 0.5,
  stopUnderMm: inches(1 / 16),
  capBeyondMm: inches(1 / 16),
  reinforcementMm: { low: inches(1 / 16), high: inches(1 / 8) },
  ...change,
})
const layers = ({ layers: rows }: StackPlan) => rows.map(row => `${row.beads} ${row.role}`).join(', ')
const shoelace = (points: readonly { x: number; y: number }[]) =>
  Math.abs(
    points.reduce(
      (sum, point, n) =>
        sum + point.x * points[(n + 1) % points.length]!.y - points[(n + 1) % points.length]!.x * point.y,
      0,
    ),
  ) / 2

const shapes: fc.Arbitrary<JointShape> = fc.oneof(
  fc
    .record({
      thicknessMm: fc.double({ min: 6, max: 26, noNaN: true }),
      gapMm: fc.double({ min: 1.5, max: 6, noNaN: true }),
      landMm: fc.double({ min: 0, max: 3, noNaN: true }),
      includedDegrees: fc.double({ min: 40, max: 75, noNaN: true }),
    })
    .chain(groove => fc.boolean().map((backing): JointShape => ({ kind: 'V', groove, backing }))),
  fc
    .record({
      thicknessMm: fc.double({ min: 20, max: 32, noNaN: true }),
      radiusMm: fc.double({ min: 4, max: 8, noNaN: true }),
      bevelDegrees: fc.double({ min: 6, max: 20, noNaN: true }),
    })
    .map((row): JointShape => ({ kind: 'U', gapMm: 3, landMm: 2, ...row })),
  fc.double({ min: 5, max: 14, noNaN: true }).map((legMm): JointShape => ({ kind: 'fillet', legMm, thicknessMm: 10 })),
)

describe('the section of a joint', () => {
  const sampled = (shape: JointShape) => {
    const { floor, gridMm } = jointSection(shape)
    return floor.reduce((sum, y) => sum + Math.max(0, -y) * gridMm, 0)
  }
  // Two ways to one figure: a closed form for each groove, and its sampled surface summed.
  it('has the area of its closed form, within half a per cent', () => {
    fc.assert(
      fc.property(shapes, shape => {
        expect(sampled(shape) / jointSection(shape).areaMm2).toBeGreaterThan(0.995)
        expect(sampled(shape) / jointSection(shape).areaMm2).toBeLessThan(1.005)
      }),
    )
  })
  it('a double V is two Vs that meet at the land: half of it is planned at a time', () => {
    const groove = { thicknessMm: 25, gapMm: 3, landMm: 2, includedDegrees: 60 }
    // Half the plate and half the land stand under one side: g (t + f)/2 + ((t − f)/2)² tan 30° (arithmetic).
    expect(jointSection({ kind: 'double V', groove }).areaMm2).toBeCloseTo(
      3 * 13.5 + 11.5 ** 2 * Math.tan(Math.PI / 6),
      6,
    )
  })
  it('refuses sizes that do not go together', () => {
    expect(() =>
      jointSection({ kind: 'V', backing: true, groove: { thicknessMm: 6, gapMm: 3, landMm: 6, includedDegrees: 60 } }),
    ).toThrow(/land/)
    expect(() => jointSection({ ...U30, radiusMm: 60 } as JointShape)).toThrow(/radius/)
    expect(() => jointSection({ kind: 'fillet', legMm: 30, thicknessMm: 10 })).toThrow(/leg/)
  })
})

describe('a bead on a surface', () => {
  const flat: Surface = { gridMm: 0.1, leftMm: -20, height: new Float64Array(401) }
  it('holds its metal, wherever it is laid', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -8, max: 8, noNaN: true }),
        fc.double({ min: 3, max: 40, noNaN: true }),
        (aim, area) => {
          const { bead } = layBead(flat, aim, area, 0.08)
          expect(shoelace(bead.outline) / area).toBeGreaterThan(0.99)
          expect(shoelace(bead.outline) / area).toBeLessThan(1.01)
        },
      ),
    )
  })
  it('lies flatter between two walls than free', () => {
    const valley: Surface = { ...flat, height: Float64Array.from(flat.height, (_, n) => Math.abs(-20 + n * 0.1) * 1.7) }
    const rise = ({ outline, fromMm, toMm, topMm }: ReturnType<typeof layBead>['bead']) =>
      topMm - Math.max(...outline.filter(point => point.x === fromMm || point.x === toMm).map(point => point.y))
    expect(rise(layBead(valley, 0, 15, 0.1).bead)).toBeLessThan(rise(layBead(flat, 0, 15, 0.1).bead))
  })
  it('refuses an aim off the joint, and a bead of nothing', () => {
    expect(() => layBead(flat, 90, 10, 0.1)).toThrow(/aim/)
    expect(() => layBead(flat, 0, 0, 0.1)).toThrow(/more than 0/)
  })
})

describe('a stack of beads', () => {
  // Common practice: 12 mm V of 60° takes 4 (to 5) passes with 2.5 to 3.25 mm rods.
  it.each([
    [3.2, 2.4, inches(1 / 8)],
    [2.4, 1.6, inches(3 / 32)],
    [3, 2, inches(1 / 8)],
  ])('12 mm of V, gap %d, land %d, takes 4 or 5 passes', (gapMm, landMm, rootCoreMm) => {
    const { beads } = planStack(
      aPlanner({
        rootCoreMm,
        shape: { kind: 'V', backing: false, groove: { thicknessMm: 12, gapMm, landMm, includedDegrees: 60 } },
      }),
    )
    expect([4, 5]).toContain(beads.length)
  })
  // Common practice: 3/8 in on backing, overhead, 1/8 in rods: 1 root, 2 fill, 3 cap.
  it('3/8 in on backing overhead takes 1 root, 2 fill, 3 cap', () => {
    expect(layers(planStack(aPlanner({ shape: BACKED, position: '4G', rootCoreMm: inches(1 / 8) })))).toBe(
      '1 root, 2 fill, 3 cap',
    )
  })
  // Common practice: a multi-pass T is built 1, 2, 3, its legs alike within 1/16 in.
  it('a 1/2 in T is built 1, 2, 3 with equal legs', () => {
    const plan = planStack(aPlanner({ shape: { kind: 'fillet', legMm: inches(1 / 2), thicknessMm: inches(3 / 8) } }))
    expect(plan.layers.map(layer => layer.beads)).toEqual([1, 2, 3])
    expect(Math.abs(plan.legsMm![0] - plan.legsMm![1])).toBeLessThan(inches(1 / 16))
    expect(plan.legsMm![0]).toBeCloseTo(inches(1 / 2), 0)
  })
  it('a stringers-only house lays more beads than one that weaves', () => {
    const beads = (stringersOnly: boolean) =>
      planStack(
        aPlanner({
          stringersOnly,
          shape: { ...BACKED, groove: { ...BACKED.groove, thicknessMm: inches(1) } } as JointShape,
        }),
      ).beads.length
    expect(beads(true)).toBeGreaterThan(beads(false))
  })

  it('never overlaps the plate, leaves no void, and its metal adds up to what is filled within half a per cent', () => {
    fc.assert(
      fc.property(shapes, fc.constantFrom('1G', '2G', '3G', '4G' as const), (shape, position) => {
        const plan = planStack(aPlanner({ shape, position: position as '1G' }))
        const { floor, gridMm, leftMm } = plan.section
        const top = Float64Array.from(floor)
        for (const bead of plan.beads) {
          for (const { x, y } of bead.outline) {
            const n = Math.round((x - leftMm) / gridMm)
            expect(y).toBeGreaterThanOrEqual(floor[n]! - 1e-9)
            top[n] = Math.max(top[n]!, y)
          }
        }
        const filled = top.reduce((sum, y, n) => sum + (y - floor[n]!) * gridMm, 0)
        expect(Math.abs(plan.areaMm2 / filled - 1)).toBeLessThan(0.005)
      }),
      { numRuns: 40 },
    )
  })
  it('fills a groove to its edges, and no further beyond them than the house allows', () => {
    fc.assert(
      fc.property(
        shapes.filter(shape => shape.kind !== 'fillet'),
        shape => {
          const plan = planStack(aPlanner({ shape }))
          for (const beyond of [plan.beyondLeftMm, plan.beyondRightMm]) {
            expect(beyond).toBeGreaterThan(-0.3)
            expect(beyond).toBeLessThanOrEqual(inches(1 / 16) + 0.11)
          }
          expect(plan.reinforcementMm).toBeGreaterThan(0.5)
        },
      ),
      { numRuns: 40 },
    )
  })
  it('is planned bottom up: no layer begins before the one under it', () => {
    const plan = planStack(
      aPlanner({ shape: { ...BACKED, groove: { ...BACKED.groove, thicknessMm: inches(1) } } as JointShape }),
    )
    plan.beads.forEach((bead, n) => {
      expect(bead.number).toBe(n + 1)
      if (n > 0) expect(bead.layer).toBeGreaterThanOrEqual(plan.beads[n - 1]!.layer)
    })
  })

  it('says when a bead leaves a slot too narrow for the rod, and where it should have been aimed', () => {
    const planner = aPlanner({
      shape: { ...BACKED, groove: { ...BACKED.groove, thicknessMm: inches(1) } } as JointShape,
      position: '4G',
    })
    const plan = planStack(planner)
    expect(plan.beads.some(bead => bead.tight)).toBe(false)
    const first = plan.beads.find(
      bead => bead.role === 'fill' && plan.beads.filter(other => other.layer === bead.layer).length > 1,
    )!
    const warned = [-4, -3, -2, -1, 1, 2, 3, 4]
      .map(by => planStack({ ...planner, aims: { [first.number]: first.aimMm + by } }).beads[first.number - 1]!)
      .find(bead => bead.tight && bead.betterAimMm !== null)
    expect(warned).toBeDefined()
    const mended = planStack({ ...planner, aims: { [first.number]: warned!.betterAimMm! } }).beads[first.number - 1]!
    expect([mended.tight, mended.betterAimMm]).toEqual([false, null])
  })
  it('never leaves a slot of its own making where another aim would not', () => {
    fc.assert(
      fc.property(shapes, shape =>
        planStack(aPlanner({ shape })).beads.every(bead => !bead.tight || bead.betterAimMm === null),
      ),
      { numRuns: 40 },
    )
  })
  // A thin wall: the second bead of a cap does not stand on the first, nor the cap higher than the wall bears.
  it.each([
    ['NPS 2 Sch 40', 3.91, 75],
    ['NPS 2 Sch 80', 5.54, 75],
    ['5 mm plate', 5, 60],
    ['3/8 in plate', 9.525, 60],
    ['12 mm plate', 12, 60],
  ])('the beads of a cap lie level with each other: %s', (_, thicknessMm, includedDegrees) => {
    for (const coreMm of [inches(3 / 32), inches(1 / 8)]) {
      const groove = { thicknessMm, gapMm: 2.4, landMm: 1.6, includedDegrees }
      const plan = planStack(aPlanner({ shape: { kind: 'V', groove, backing: false }, coreMm }))
      const tops = plan.beads.filter(bead => bead.role === 'cap').map(bead => bead.topMm)
      expect(Math.max(...tops) - Math.min(...tops)).toBeLessThan(0.9)
      expect(plan.areaMm2 / plan.section.areaMm2).toBeLessThan(1.85)
    }
  })
  it('a bead moved by hand stays where it was put, and the rest is planned around it', () => {
    const plan = planStack(aPlanner({ shape: BACKED }))
    const moved = planStack(aPlanner({ shape: BACKED, aims: { 1: 0.8 } }))
    expect(moved.beads[0]!.aimMm).toBe(0.8)
    expect(moved.beads).toHaveLength(plan.beads.length)
    expect(moved.beads[1]!.outline).not.toEqual(plan.beads[1]!.outline)
  })
})

describe('what a stack burns', () => {
  const job = {
    lengthMm: inches(8),
    classification: 'E7018',
    rod: rodSizeOf(inches(1 / 8)),
    currentA: 120,
    volts: 23,
    stubMm: inches(2),
  }
  const { beads, areaMm2 } = planStack(aPlanner())
  it('is the weight of its metal, and the time it takes to lay it', () => {
    const { weightKg, arcSeconds } = stackTotals(beads, job)
    expect(weightKg).toBeCloseTo(areaMm2 * inches(8) * 7.85e-6, 9)
    // 2.58 lb/h at 120 A (typical makers' data).
    expect(arcSeconds / 3600).toBeCloseTo(weightKg / (2.58 * 0.45359237), 6)
  })
  it('counts rods by the metal they hold, and a restart for each that does not begin a bead', () => {
    const { rods, restarts } = stackTotals(beads, job)
    expect(rods).toBeGreaterThanOrEqual(
      Math.floor((areaMm2 * inches(8)) / ((Math.PI / 4) * inches(1 / 8) ** 2 * inches(12) * 1.05)),
    )
    expect(restarts).toBeGreaterThan(rods - beads.length - 1)
  })
  it('a bead of three times the section takes three times the rods', () => {
    const rods = (...areas: number[]) =>
      stackTotals(
        areas.map(area => ({ areaMm2: area })),
        job,
      ).rods
    // A 1/8 in E7018 burned to 2 in lays 2534 mm³ (π/4 × 3.175² × 304.8 × 1.05); 203.2 mm of 45 mm² hold 3.6 of it.
    expect([rods(45), rods(135), rods(22, 68), rods(68, 22)]).toEqual([4, 11, 8, 8])
  })
  it('nothing burns nothing, and no joint is refused', () => {
    expect(stackTotals([], job)).toMatchObject({ rods: 0, weightKg: 0 })
    expect(() => stackTotals(beads, { ...job, lengthMm: 0 })).toThrow(/joint/)
  })
})
