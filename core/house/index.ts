/**
 * House rules: every figure on which good schools differ, as data with a default.
 * A coupon is judged by the rules of its day and keeps their version.
 */
export * from './houseRules'
