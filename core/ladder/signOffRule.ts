import { under, SAME_SHARE } from '../units'
import { elementOf, type ElementId } from '../grading'
import { betaTail, effectiveTries } from '../statistics'
import { lcCusumScores, type CouponTries, type LcCusum } from './lcCusum'

/** When a rung may be signed off. An instructor's name goes on it in any case. */
export type SignOffRule =
  /** The number of good coupons in a row; `null` is what the house rules say. */
  | { readonly by: 'in a row'; readonly good: number | null }
  /** The number of good ones among the last few. */
  | { readonly by: 'of the last'; readonly good: number; readonly last: number }
  /** The tries of one element say that its rate is at least this, so surely (Beta with a flat prior, tries alike). */
  | { readonly by: 'enough evidence'; readonly element: ElementId; readonly rate: number; readonly sure: number }
  /** A learning-curve CUSUM over the tries of one element has reached its limit. */
  | ({ readonly by: 'LC-CUSUM'; readonly element: ElementId } & LcCusum)

/** Whether an element is counted in tries, so that a rule may go by it. */
export const knownElement = (id: ElementId): boolean => elementOf(id).counted === 'tries'

/** A coupon of a rung, as far as sign-off goes. */
export interface RungCoupon {
  readonly good: boolean
  readonly tries: Readonly<Partial<Record<ElementId, { readonly tried: number; readonly sound: number }>>>
}

/**
 * How alike two tries of one coupon are: one rod, one current, one day. Source: common practice in cluster sampling, a
 * correlation of 0.1 for tries that one hand makes one after the other.
 */
export const USUALLY_ALIKE = 0.1

/** How far a rung is from sign-off. */
export interface SignOffState {
  readonly met: boolean
  /** How far along, 0 to 1. */
  readonly share: number
  /** Where it stands, in a line. */
  readonly says: string
}

/**
 * How far a rung is from sign-off by its rule.
 * @param coupons of this rung, oldest first
 * @param inARow how many the house rules want in a row
 * @param alike correlation of two tries of one coupon, 0 to 1
 * @example signOffState({ by: 'in a row', good: null }, [good, good], 3).says // '2 of 3 good in a row'
 */
export function signOffState(
  rule: SignOffRule,
  coupons: readonly RungCoupon[],
  inARow: number,
  alike = USUALLY_ALIKE,
): SignOffState {
  switch (rule.by) {
    case 'in a row': {
      const wanted = rule.good ?? inARow
      const run = coupons.length - 1 - coupons.findLastIndex(coupon => !coupon.good)
      const best = longestRun(coupons)
      return {
        met: best >= wanted,
        share: Math.min(1, (best >= wanted ? wanted : run) / wanted),
        says: `${Math.min(best >= wanted ? best : run, wanted)} of ${wanted} good in a row`,
      }
    }
    case 'of the last': {
      const good = coupons.slice(-rule.last).filter(coupon => coupon.good).length
      return {
        met: good >= rule.good,
        share: Math.min(1, good / rule.good),
        says: `${good} of the last ${rule.last} good, ${rule.good} wanted`,
      }
    }
    case 'enough evidence': {
      const sure = sureOf(
        rule,
        coupons.map(coupon => triesIn(coupon, rule.element)),
        alike,
      )
      return {
        met: sure >= rule.sure,
        share: Math.min(1, sure / rule.sure),
        says: `${percent(sure)} sure that ${nameOf(rule.element)} are at least ${percent(rule.rate)} sound; ${percent(rule.sure)} wanted`,
      }
    }
    case 'LC-CUSUM': {
      const tries = coupons.map(coupon => triesIn(coupon, rule.element))
      const scores = lcCusumScores(rule, tries, alike)
      const score = scores.at(-1) ?? 0
      return {
        met: !under(score, rule.limit, SAME_SHARE),
        share: Math.min(1, score / rule.limit),
        says: `${nameOf(rule.element, true)}: score ${score.toFixed(2)} of ${rule.limit.toFixed(2)} (LC-CUSUM)`,
      }
    }
  }
}

const percent = (share: number) => `${Math.round(share * 100)} %`

function nameOf(element: ElementId, first = false): string {
  const { name } = elementOf(element)
  return first ? name : name.toLowerCase()
}

function longestRun(coupons: readonly RungCoupon[]): number {
  let [run, best] = [0, 0]
  for (const coupon of coupons) best = Math.max(best, (run = coupon.good ? run + 1 : 0))
  return best
}

const triesIn = ({ tries }: RungCoupon, element: ElementId): CouponTries => tries[element] ?? { tried: 0, sound: 0 }

/**
 * How surely a rate is at least what the rule wants: Beta with a flat prior, of as many tries as alike ones tell.
 * @param alike correlation of two tries of one coupon, 0 to 1
 */
export function sureOf({ rate }: { readonly rate: number }, coupons: readonly CouponTries[], alike: number): number {
  let [sound, unsound] = [0, 0]
  for (const { tried, sound: own } of coupons) {
    if (tried === 0) continue
    const each = effectiveTries(tried, alike) / tried
    sound += own * each
    unsound += (tried - own) * each
  }
  return betaTail(rate, 1 + sound, 1 + unsound)
}

/**
 * A rule in words, for the sheet on the wall.
 * @example sayRule({ by: 'of the last', good: 4, last: 5 }, 3) // '4 good of the last 5'
 */
export function saySignOff(rule: SignOffRule, inARow: number): string {
  switch (rule.by) {
    case 'in a row':
      return `${rule.good ?? inARow} good in a row`
    case 'of the last':
      return `${rule.good} good of the last ${rule.last}`
    case 'enough evidence':
      return `${percent(rule.sure)} sure that ${nameOf(rule.element)} are at least ${percent(rule.rate)} sound`
    case 'LC-CUSUM':
      return (
        `LC-CUSUM on ${nameOf(rule.element)}: ${percent(1 - rule.acceptable)} sound is enough, ` +
        `${percent(1 - rule.unacceptable)} is not, limit ${rule.limit}`
      )
  }
}
