import { betaTail, betaQuantile } from './beta'

/** A rate between two bounds, each 0 to 1. */
export interface Interval {
  readonly low: number
  readonly high: number
}

/**
 * Exact (Clopper–Pearson) two-sided interval of a binomial rate: the rates at which the count seen, or a more extreme
 * one, has probability (1 − confidence)/2. Source: Clopper and Pearson 1934; checked against Newcombe 1998.
 * @param sound successes, 0 to `tried`
 * @param tried whole number of tries
 * @throws RangeError for counts that cannot be
 * @example binomialInterval(8, 10) // { low: 0.443905, high: 0.974789 }
 */
export function binomialInterval(sound: number, tried: number, confidence = 0.95): Interval {
  if (!Number.isInteger(sound) || !Number.isInteger(tried) || sound < 0 || sound > tried || tried < 1)
    throw new RangeError(`${sound} of ${tried} is not a count of tries`)
  if (!(confidence > 0 && confidence < 1)) throw new RangeError('Confidence is between 0 and 1')
  const tail = (1 - confidence) / 2
  return {
    low: sound === 0 ? 0 : betaQuantile(tail, sound, tried - sound + 1),
    high: sound === tried ? 1 : betaQuantile(1 - tail, sound + 1, tried - sound),
  }
}

/**
 * Probability of at least k successes in n at a rate: P(X ≥ k) = I(rate; k, n − k + 1).
 * Source: the identity of beta and binomial sums (Abramowitz and Stegun 26.5.24).
 * @example binomialTail(8, 10, 0.5) // 0.054688
 */
export function binomialTail(k: number, n: number, rate: number): number {
  if (k <= 0) return 1
  if (k > n) return 0
  return 1 - betaTail(rate, k, n - k + 1)
}

/**
 * How sure the tries make us that a rate is above a mark, from a flat prior: the upper tail of Beta(1 + sound,
 * 1 + unsound). 8 of 10 above 0.8 is 0.382598 (worked by its binomial sum).
 * @param rate the mark, 0 to 1
 * @example chanceAbove(0.8, 8, 10) // 0.382598
 */
export const chanceAbove = (rate: number, sound: number, tried: number): number =>
  betaTail(rate, 1 + sound, 1 + tried - sound)
