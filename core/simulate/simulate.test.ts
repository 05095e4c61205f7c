import { describe, expect, it } from 'vitest'
import { isFlaw, isTry } from '../coupon'
import { aCoupon } from '../coupon/example'
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../house'
import { inches } from '../units'
import { drawLearner, errorAfter, KNACKS, weldCoupon, type Learner } from '.'
import { seededRandom } from '../statistics'

describe('seededRandom', () => {
  it('draws the same from the same seed, and not from another', () => {
    const draw = (seed: number) => {
      const random = seededRandom(seed)
      return [random.uniform(), random.normal(), random.uniform()]
    }
    expect(draw(7)).toEqual(draw(7))
    expect(draw(7)).not.toEqual(draw(8))
  })
  it('is even and normal enough: mean and deviation over 20,000 draws', () => {
    const random = seededRandom(1)
    const uniforms = Array.from({ length: 20_000 }, random.uniform)
    const normals = Array.from({ length: 20_000 }, random.normal)
    const mean = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length
    // Four standard errors: 4 · 0.2887/√20000 and 4/√20000.
    expect(Math.abs(mean(uniforms) - 0.5)).toBeLessThan(0.0082)
    expect(Math.abs(mean(normals))).toBeLessThan(0.0283)
    expect(Math.abs(mean(normals.map(value => value * value)) - 1)).toBeLessThan(0.04)
    expect(uniforms.every(value => value >= 0 && value < 1)).toBe(true)
  })
})

describe('a learner', () => {
  const learner = drawLearner(seededRandom(3), null)
  it('gets better with every coupon, down to a floor', () => {
    for (const skill of KNACKS) {
      expect(errorAfter(learner, skill, 0, 1)).toBeCloseTo(learner.start[skill], 12)
      expect(errorAfter(learner, skill, 10, 1)).toBeLessThan(errorAfter(learner, skill, 3, 1))
      expect(errorAfter(learner, skill, 1e9, 1)).toBeGreaterThan(learner.floor[skill])
    }
  })
  it('is held back by a habit where the habit is', () => {
    const held = drawLearner(seededRandom(3), 'avoids restarts')
    expect(errorAfter(held, 'restart', 40, 1)).toBeGreaterThan(errorAfter(learner, 'restart', 40, 1))
    expect(held.start.strike).toBe(learner.start.strike)
  })
})

describe('weldCoupon', () => {
  const poorShare = (learner: Learner, coupons: number, seed: number) => {
    let poor = 0
    let tried = 0
    for (let n = 0; n < 60; n++) {
      const welded = weldCoupon(aCoupon(), learner, coupons, seededRandom(seed + n))
      const tries = welded.marks.filter(isTry)
      tried += tries.length
      poor += tries.filter(mark => mark.degree !== 'sound').length
    }
    return poor / tried
  }
  const learner = drawLearner(seededRandom(5), null)

  it('gives the same coupon for the same seed', () => {
    expect(weldCoupon(aCoupon(), learner, 4, seededRandom(9))).toEqual(
      weldCoupon(aCoupon(), learner, 4, seededRandom(9)),
    )
  })
  it('gives fewer faults after forty coupons than after none', () =>
    expect(poorShare(learner, 40, 100)).toBeLessThan(poorShare(learner, 0, 100) - 0.1))
  it('reads a hot machine as hot: more undercut over the window than in it', () => {
    const undercut = (currentA: number) =>
      Array.from({ length: 80 }, (_, n) => weldCoupon(aCoupon({ ticket: { currentA } }), learner, 10, seededRandom(n)))
        .flatMap(coupon => coupon.marks.filter(isFlaw))
        .filter(mark => mark.flaw === 'undercut').length
    expect(undercut(190)).toBeGreaterThan(undercut(130) * 1.5)
  })
  it('goes by the house’s own window where it has one', () => {
    const own = {
      ...DEFAULT_HOUSE_RULES,
      windows: [{ classification: 'E7018', diameterMm: inches(1 / 8), position: '1G', lowA: 180, highA: 200 }],
    } as const
    const flaws = (rules: HouseRules) =>
      Array.from({ length: 60 }, (_, n) =>
        weldCoupon(aCoupon({ ticket: { currentA: 190 } }), learner, 10, seededRandom(n), rules),
      )
        .flatMap(coupon => coupon.marks.filter(isFlaw))
        .filter(mark => mark.flaw === 'undercut').length
    expect(flaws(own)).toBeLessThan(flaws(DEFAULT_HOUSE_RULES))
  })
  it('keeps its marks on the beads', () => {
    const { marks, beads } = weldCoupon(aCoupon(), learner, 0, seededRandom(2))
    for (const mark of marks.filter(isFlaw)) {
      const bead = beads.find(lane => lane.id === mark.beadId)!
      expect(mark.atMm >= bead.fromMm && mark.toMm <= bead.toMm).toBe(true)
    }
  })
})
