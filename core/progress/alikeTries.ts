import { effectiveTries } from '../statistics'

/**
 * Tries of one coupon go well or badly together: they count as fewer (design effect with this correlation).
 * Common practice.
 * @example alike(5) // 5 tries count as 3.57
 */
export const alike = (tried: number): number => (tried <= 1 ? 1 : effectiveTries(tried, WITHIN_COUPON) / tried)
const WITHIN_COUPON = 0.1
