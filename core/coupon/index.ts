/**
 * The coupon document: a pad drawn to scale, with every start, restart and flaw at its place.
 * Editing is by pure functions from document to document.
 */
export * from './document'
export * from './newCoupon'
export * from './lanes'
export * from './edit'
export * from './describe'
export * from './faults'
