import { alikeSuccesses, effectiveTries } from '../statistics'
import { under, SAME_SHARE } from '../units'

/** A learning curve that is watched: failure rates that are acceptable and not, and the height at which it says so. */
export interface LcCusum {
  readonly acceptable: number
  readonly unacceptable: number
  readonly limit: number
}

/**
 * What a success and a failure add to the score.
 * Source: the learning-curve CUSUM as published for surgical training (Biau and Porcher 2010), from memory; success
 * adds, failure subtracts, never under 0.
 * @example lcCusumSteps({ acceptable: 0.1, unacceptable: 0.25, limit: 1.25 }) // { success: 0.182322, failure:
 *   -0.916291 }
 */
export function lcCusumSteps({ acceptable, unacceptable }: LcCusum): { success: number; failure: number } {
  if (!(acceptable > 0 && acceptable < unacceptable && unacceptable < 1))
    throw new RangeError('Acceptable failures are fewer than unacceptable ones, both between 0 and 1')
  return { success: Math.log((1 - acceptable) / (1 - unacceptable)), failure: Math.log(acceptable / unacceptable) }
}

/** The tries of one coupon: how many, and how many of them sound. */
export interface CouponTries {
  readonly tried: number
  readonly sound: number
}

/**
 * What a coupon adds to the score: its tries together, in any order, and no more than that number of alike ones
 * tells.
 * @param alike correlation of two tries of a coupon, 0 to 1
 */
function couponStep(watch: LcCusum, { tried, sound }: CouponTries, alike: number): number {
  if (tried === 0) return 0
  const { success, failure } = lcCusumSteps(watch)
  return (effectiveTries(tried, alike) / tried) * (sound * success + (tried - sound) * failure)
}

/**
 * The score after each of some coupons; it stops at the limit. It is looked at when a coupon is whole: within one it
 * could be led over the limit by the order alone.
 * @param alike correlation of two tries of a coupon, 0 to 1
 */
export function lcCusumScores(watch: LcCusum, coupons: readonly CouponTries[], alike: number): number[] {
  let score = 0
  return coupons.map(
    coupon =>
      (score = !under(score, watch.limit, SAME_SHARE) ? score : Math.max(0, score + couponStep(watch, coupon, alike))),
  )
}

/** Scores that lie closer than this are one: of a hundred coupons they are off by a ten-thousandth. */
const SAME_SCORE = 1e-6

/**
 * The chance that the score has reached its limit after some coupons, when each try fails at a rate: over every score
 * that can be reached. With coupons of one try it is the published LC-CUSUM.
 * @param failureRate of single tries, 0 to 1: a steady one, or that of the nth coupon, from 0
 * @param coupons how many there are; @param each tries of each
 * @param alike correlation of two tries of a coupon, 0 to under 1
 * @example lcCusumChance({ acceptable: 0.1, unacceptable: 0.25, limit: 1.25 }, 0.25,
 *   { coupons: 50, each: 1, alike: 0 }) // 0.8922
 */
export function lcCusumChance(
  watch: LcCusum,
  failureRate: number | ((coupon: number) => number),
  { coupons, each, alike }: { readonly coupons: number; readonly each: number; readonly alike: number },
): number {
  const failsAt = typeof failureRate === 'number' ? () => failureRate : failureRate
  const steps = Array.from({ length: each + 1 }, (_, sound) => couponStep(watch, { tried: each, sound }, alike))
  let scores = new Map([[0, 1]])
  let signalled = 0
  for (let n = 0; n < coupons; n++) {
    const next = new Map<number, number>()
    const chances = alikeSuccesses(each, 1 - failsAt(n), alike)
    for (const [key, chance] of scores) {
      chances.forEach((share, sound) => {
        const reached = Math.max(0, key * SAME_SCORE + steps[sound]!)
        if (!under(reached, watch.limit, SAME_SHARE)) signalled += chance * share
        else {
          const there = Math.round(reached / SAME_SCORE)
          next.set(there, (next.get(there) ?? 0) + chance * share)
        }
      })
    }
    scores = next
  }
  return signalled
}
