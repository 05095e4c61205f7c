/**
 * Coupons add up: rates with their intervals, by position, rod and element.
 */
export * from './binomialInterval'
export * from './rates'
