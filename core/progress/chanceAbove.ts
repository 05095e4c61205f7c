import { binomialTail } from './binomialInterval'

/**
 * How sure the tries make us that a rate is above a mark, from a flat prior: the posterior Beta(1 + sound, 1 +
 * unsound), by its binomial sum
 * P(p > r) = P(X ≤ sound), X binomial with one try more. Source: the identity of beta and binomial sums; 8 of 10
 * above 0.8 is 0.382598 (worked).
 * @param rate the mark, 0 to 1
 * @example chanceAbove(0.8, 8, 10) // 0.382598
 */
export function chanceAbove(rate: number, sound: number, tried: number): number {
  return 1 - binomialTail(sound + 1, tried + 1, rate)
}
