import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { electrodeOf, rodSizeOf } from '../trade'
import { inches } from '../units'
import { metalOfRod, padSection, planPad, STEEL_KG_PER_MM3, type PadJob } from '.'

/** A 6 × 4 in plate in beads of a 1/8 in E7018, lapped 40 %. */
const aPad = (change: Partial<PadJob> = {}): PadJob => ({
  lengthMm: inches(6),
  widthMm: inches(4),
  beadMm: inches(1 / 4),
  overlap: 0.4,
  classification: 'E7018',
  rod: rodSizeOf(inches(1 / 8)),
  currentA: 125,
  volts: 23,
  travelMmPerMin: inches(9.9),
  stubMm: inches(2),
  ...change,
})

describe('planPad', () => {
  it('counts beads, rods and restarts', () => {
    const plan = planPad(aPad())
    expect(plan.beads).toBe(26)
    expect(plan.runOutMm / 25.4).toBeCloseTo(9.93, 1)
    expect(plan.rods).toBe(Math.ceil((26 * 6) / (plan.runOutMm / 25.4)))
    expect(plan.arcSeconds).toBeCloseTo(((26 * 6) / 9.9) * 60, 6)
  })

  // Common practice: three 3/8 in beads lapped by a third climb about 3/4 in.
  it('climbs 3/4 in with three 3/8 in beads lapped by a third', () => {
    expect((3 * planPad(aPad({ beadMm: inches(3 / 8), overlap: 1 / 3 })).stepMm) / 25.4).toBeCloseTo(0.75, 9)
  })

  it('refuses what is out of range, and names it', () => {
    expect(() => planPad(aPad({ overlap: 2 }))).toThrow(/Overlap/)
    expect(() => planPad(aPad({ currentA: 0 }))).toThrow(/Current/)
    expect(() => planPad(aPad({ widthMm: 0 }))).toThrow(/plate/)
    expect(() => planPad(aPad({ stubMm: inches(14) }))).toThrow(/stub/)
  })

  const jobs = fc
    .record({
      lengthMm: fc.double({ min: 50, max: 400, noNaN: true }),
      widthMm: fc.double({ min: 20, max: 300, noNaN: true }),
      beadMm: fc.double({ min: 4, max: 15, noNaN: true }),
      overlap: fc.double({ min: 0, max: 0.8, noNaN: true }),
      currentA: fc.double({ min: 60, max: 200, noNaN: true }),
      travelMmPerMin: fc.double({ min: 60, max: 400, noNaN: true }),
    })
    .map(change => aPad(change))

  it('always covers the plate, with no bead to spare', () =>
    fc.assert(
      fc.property(jobs, job => {
        const { beads, stepMm } = planPad(job)
        expect(job.beadMm + (beads - 1) * stepMm).toBeGreaterThanOrEqual(job.widthMm - 1e-6)
        if (beads > 1) expect(job.beadMm + (beads - 2) * stepMm).toBeLessThan(job.widthMm + 1e-6)
      }),
    ))

  it('more overlap never takes fewer beads', () =>
    fc.assert(
      fc.property(jobs, fc.double({ min: 0, max: 0.15, noNaN: true }), (job, more) => {
        expect(planPad({ ...job, overlap: job.overlap + more }).beads).toBeGreaterThanOrEqual(planPad(job).beads)
      }),
    ))

  it('lays what the rods held: metal in is metal out', () =>
    fc.assert(
      fc.property(jobs, job => {
        const plan = planPad(job)
        const burn = { rod: job.rod, stubMm: job.stubMm, recovery: electrodeOf(job.classification).recovery }
        expect(plan.runOutMm * plan.beadAreaMm2).toBeCloseTo(metalOfRod(burn), 6)
        expect(plan.weightKg).toBeCloseTo((plan.rate.kgPerHour * plan.arcSeconds) / 3600, 9)
        expect(plan.lastRodMm).toBeGreaterThanOrEqual(job.stubMm - 1e-9)
        expect(plan.lastRodMm).toBeLessThanOrEqual(job.rod.lengthMm + 1e-9)
      }),
    ))
})

describe('padSection', () => {
  const area = (points: readonly { x: number; y: number }[]) =>
    Math.abs(
      points.reduce(
        (sum, point, n) =>
          sum + point.x * points[(n + 1) % points.length]!.y - points[(n + 1) % points.length]!.x * point.y,
        0,
      ),
    ) / 2

  it('draws every bead with the metal it holds', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.double({ min: 4, max: 12, noNaN: true }),
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        fc.double({ min: 4, max: 30, noNaN: true }),
        (count, beadMm, step, areaMm2) => {
          for (const bead of padSection({ count, beadMm, stepMm: beadMm * step, areaMm2 }))
            expect(area(bead)).toBeCloseTo(areaMm2, 3)
        },
      ),
    )
  })

  it('a bead alone on the plate is a parabola: 2/3 of width times height', () => {
    const [bead] = padSection({ count: 1, beadMm: 9, stepMm: 9, areaMm2: 12 })
    expect(Math.max(...bead!.map(point => point.y))).toBeCloseTo(2, 2)
    expect(Math.max(...bead!.map(point => point.x))).toBeCloseTo(9, 9)
  })

  it('lapped beads stand higher than one alone', () => {
    const beads = padSection({ count: 6, beadMm: 9, stepMm: 4.5, areaMm2: 12 })
    const height = (n: number) => Math.max(...beads[n]!.map(point => point.y))
    expect(height(5)).toBeGreaterThan(height(0) * 1.3)
  })
})

it('weighs a rod’s stub as steel (7.85 g/cm³)', () => {
  const plan = planPad(aPad())
  expect(plan.stubsKg).toBeCloseTo(
    (((plan.rods - 1) * Math.PI) / 4) * inches(1 / 8) ** 2 * inches(2) * STEEL_KG_PER_MM3,
    9,
  )
})
