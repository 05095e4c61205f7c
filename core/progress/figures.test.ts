import { describe, expect, it } from 'vitest'
import { drawCohort, type CohortPlan } from '../simulate'
import { seededRandom } from '../statistics'
import { alike, predictNext, skillFrom, startingCurve, withHistory, type Tried } from '.'

/** Figures that people act on, each held where it is: a test here fails when one is changed. */

const TODAY = 20_400
const coupon = (id: string, sound: number, more: Partial<Tried> = {}): Tried => ({
  element: 'restart',
  lie: '1G',
  work: 'plate',
  rodFamily: 'low hydrogen',
  otherHand: false,
  otherWay: false,
  couponId: id,
  day: TODAY,
  tried: 1,
  sound,
  mock: false,
  ...more,
})
const beliefOf = (rows: readonly Tried[], halfLifeDays = 60) =>
  skillFrom(startingCurve('restart'), withHistory(rows), TODAY, halfLifeDays).belief

describe('what a coupon counts', () => {
  it('a mock test counts as two practice coupons, no more and no less', () => {
    const [mock] = [beliefOf([coupon('a', 1, { mock: true })])]
    // Two rows of one coupon have the same practice before them, and so the same place in the model.
    const twice = beliefOf([coupon('a', 1), coupon('a', 1)])
    const thrice = beliefOf([coupon('a', 1), coupon('a', 1), coupon('a', 1)])
    expect(mock!.mean[0]).toBeCloseTo(twice.mean[0]!, 6)
    expect(mock!.mean[0]).toBeLessThan(thrice.mean[0]! - 0.01)
  })
  it('after its half-life it counts half: two old ones are one of today', () => {
    const old = { day: TODAY - 60 }
    const two = beliefOf([coupon('a', 1, old), coupon('a', 1, old)])
    const one = skillFrom(startingCurve('restart'), withHistory([coupon('a', 1)]), TODAY, 60).belief
    expect(two.mean[0]).toBeCloseTo(one.mean[0]!, 6)
    expect(beliefOf([coupon('a', 1, old), coupon('a', 1, old)], 120).mean[0]).toBeGreaterThan(two.mean[0]! + 0.01)
  })
  it('tries of one coupon go together: five count as 3.57, ten as 5.26', () => {
    expect(5 * alike(5)).toBeCloseTo(3.571, 3)
    expect(10 * alike(10)).toBeCloseTo(5.263, 3)
    expect(alike(1)).toBe(1)
  })
})

describe('predictions of the next coupon, on seeds that nothing was fitted to', () => {
  const plans: readonly CohortPlan[] = (['power', 'steps'] as const).flatMap(law =>
    [0, 35].map(breakDays => ({ students: 24, coupons: 50, law, breakDays })),
  )
  it.each(plans)('$law learners, a break of $breakDays days', plan => {
    const { skill, cohort, cumulative, ...others } = predictNext(
      drawCohort(plan, seededRandom(61)),
      drawCohort(plan, seededRandom(62)),
      60,
    )
    expect(skill.brier).toBeLessThan(0.222)
    for (const other of [cohort, cumulative, others['last ten']]) expect(skill.brier).toBeLessThan(other.brier)
    expect(skill.slope).toBeGreaterThan(0.88)
    expect(skill.slope).toBeLessThan(1.12)
  })
})
