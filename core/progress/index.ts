/**
 * Coupons add up: rates with their intervals, by position, rod and element.
 */
export * from './binomialInterval'
export * from './rates'
export * from './chanceAbove'
export * from './logisticFit'
export * from './trials'
export * from './schoolCurve'
export * from './skill'
export * from './prediction'
export * from './standing'
export * from './rateInWords'
