import type { CouponDocument, Verdict } from '../coupon'
import type { HouseRules } from '../house'
import { elementOf } from './elements'
import { judge, type Reason } from './criteria'
import { measureCoupon, type Measures } from './measures'

export interface Grade {
  readonly measures: Measures
  /** What the criteria say. */
  readonly computed: Verdict
  /** What counts: the instructor's own verdict where there is one. */
  readonly verdict: Verdict
  readonly reasons: readonly Reason[]
  /**
   * 0 to 100: weighted share of sound work, a workable try counting half. Common practice; it orders coupons, it
   * decides nothing.
   */
  readonly score: number
}

/**
 * Grades a coupon by the house's rules.
 * @example gradeCoupon(newCoupon(ticket, rules), rules).verdict // 'move on'
 */
export function gradeCoupon(document: CouponDocument, rules: HouseRules): Grade {
  const measures = measureCoupon(document, rules)
  const reasons = judge(measures, document, rules)
  const computed: Verdict = reasons.some(reason => reason.verdict === 'start over')
    ? 'start over'
    : reasons.length > 0
      ? 'run it again'
      : 'move on'
  return { measures, computed, verdict: document.overrule?.verdict ?? computed, reasons, score: scoreOf(measures) }
}

function scoreOf(measures: Measures): number {
  let earned = 0
  let possible = 0
  for (const { element, tried, sound, workable } of measures.elements) {
    if (tried === 0) continue
    const { weight } = elementOf(element)
    possible += weight
    earned += weight * ((sound + workable / 2) / tried)
  }
  // Every coupon has its clean-up, so something is always possible.
  return Math.round((100 * earned) / possible)
}
