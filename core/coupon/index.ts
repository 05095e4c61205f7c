/**
 * The coupon document: a piece drawn to scale, with every pass, start, restart and flaw at its place.
 * Editing is by pure functions from document to document.
 */
export * from './piece'
export * from './pass'
export * from './document'
export * from './strip'
export * from './passCard'
export * from './expectedPasses'
export * from './layPasses'
export * from './travel'
export * from './laneNames'
export * from './newCoupon'
export * from './nextCoupon'
export * from './lanes'
export * from './edit'
export * from './editPasses'
export * from './layOutAgain'
export * from './runAgain'
export * from './refusals'
export * from './gaugeKinds'
export * from './describe'
export * from './faults'
