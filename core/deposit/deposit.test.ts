import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { inches } from '../units'
import { rodSizeOf } from '../trade'
import { beadArea, beadsToCover, burnRods, runOut, stubLoss } from '.'

const LB_PER_IN3 = 0.2836

describe('runOut', () => {
  // Core weights per inch by arithmetic (density 0.2836 lb/in³); deposit of a rod with a 2 in stub from maker's
  // count cards, recovery fitted (1.05 low hydrogen, 0.90 cellulosic).
  it.each([
    [1 / 8, 1.05, 0.0439],
    [1 / 8, 0.9, 0.0376],
    [3 / 32, 1.05, 0.0247],
    [5 / 32, 1.05, 0.0685],
  ])('a 14 in rod of %d in at recovery %d leaves %d lb', (size, recovery, pounds) => {
    const areaMm2 = 10
    const mm = runOut({ rod: rodSizeOf(inches(size)), recovery, stubMm: inches(2), beadAreaMm2: areaMm2 })
    expect(((mm * areaMm2) / 25.4 ** 3) * LB_PER_IN3).toBeCloseTo(pounds, 4)
  })

  it('lays 9 to 12 in of a quarter-inch stringer with a 14 in E7018 of 1/8 in (common practice)', () => {
    const mm = runOut({
      rod: rodSizeOf(inches(1 / 8)),
      recovery: 1.05,
      stubMm: inches(2),
      beadAreaMm2: beadArea(inches(1 / 4), inches(3 / 32)),
    })
    expect(mm / 25.4).toBeGreaterThan(9)
    expect(mm / 25.4).toBeLessThan(12)
  })

  it('refuses a stub as long as the rod, and a bead with no section', () => {
    const rod = rodSizeOf(inches(1 / 8))
    expect(() => runOut({ rod, recovery: 1, stubMm: rod.lengthMm, beadAreaMm2: 10 })).toThrow(/stub/)
    expect(() => runOut({ rod, recovery: 1, stubMm: 50, beadAreaMm2: 0 })).toThrow(/section/)
  })
})

describe('burnRods', () => {
  it('carries a rod over to the next bead', () =>
    expect(burnRods([152.4, 152.4], 250).restarts).toEqual([[], [expect.closeTo(97.6, 6)]]))
  it('needs two restarts on 8 in at 3 1/2 in a rod (common practice)', () =>
    expect(burnRods([inches(8)], inches(3.5)).restarts[0]).toHaveLength(2))
  it('lights a new rod rather than carry less than half an inch', () =>
    expect(burnRods([100, 100], 108).restarts[1]).toEqual([]))

  it('never runs a rod past its end, and keeps restarts off the very ends', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 30, max: 400, noNaN: true }), { minLength: 1, maxLength: 20 }),
        fc.double({ min: 40, max: 400, noNaN: true }),
        (lengths, rod) => {
          burnRods(lengths, rod).restarts.forEach((restarts, index) => {
            const stops = [0, ...restarts, lengths[index]!]
            for (let n = 1; n < stops.length; n++)
              expect(stops[n]! - stops[n - 1]!).toBeLessThanOrEqual(rod + 9.5 + 1e-9)
            for (const at of restarts) expect(at > 9.5 && at < lengths[index]! - 9.5).toBe(true)
          })
        },
      ),
    )
  })

  it('lays what was in the rods: nothing appears, nothing is lost', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 30, max: 400, noNaN: true }), { minLength: 1, maxLength: 20 }),
        fc.double({ min: 40, max: 400, noNaN: true }),
        (lengths, rod) => {
          const { rods, leftMm, droppedMm, stretchedMm } = burnRods(lengths, rod)
          expect(rods * rod + stretchedMm).toBeCloseTo(lengths.reduce((sum, mm) => sum + mm, 0) + leftMm + droppedMm, 6)
        },
      ),
    )
  })
  it('refuses a rod that lays nothing', () => expect(() => burnRods([100], 0)).toThrow(RangeError))
})

// Arithmetic: 2 of 14 in, and 5 of 14 in.
it('says what a stub wastes', () => {
  expect(stubLoss(inches(14), inches(2))).toBeCloseTo(0.14, 2)
  expect(stubLoss(inches(14), inches(5))).toBeCloseTo(0.36, 2)
  expect(() => stubLoss(300, 300)).toThrow(RangeError)
})

describe('beadsToCover: n = 1 + ceil((W − w) / (w (1 − o))), common practice', () => {
  it.each([
    [inches(4), inches(3 / 8), 0.4, 18],
    [inches(4), inches(1 / 4), 0.5, 31],
    [10, 10, 0.3, 1],
    [5, 10, 0.3, 1],
    [16, 10, 0.4, 2],
  ])('%d mm in beads of %d at %d takes %d', (cover, bead, overlap, count) => {
    expect(beadsToCover(cover, bead, overlap)).toBe(count)
  })
  it('refuses a bead with no width, and an overlap that leaves no step', () => {
    expect(() => beadsToCover(100, 0, 0.4)).toThrow(RangeError)
    expect(() => beadsToCover(100, 10, 1)).toThrow(RangeError)
  })
})
