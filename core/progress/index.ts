/**
 * Coupons add up: rates with their intervals, by position, rod and element.
 */
export * from './rates'
export * from './trials'
export * from './alikeTries'
export * from './wrong'
export * from './schoolCurve'
export * from './skill'
export * from './prediction'
export * from './readTwice'
export * from './skillElements'
export * from './fitSchool'
export * from './readerMarks'
export * from './standing'
export * from './triedOf'
export * from './rateInWords'
