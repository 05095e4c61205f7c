/**
 * From what is seen to the one thing to change on the next run.
 */
export * from './signs'
export * from './causes'
export * from './readCoupon'
