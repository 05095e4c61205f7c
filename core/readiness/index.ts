/**
 * How a test would go today: the piece, what it asks of a hand try by try, thousands of attempts at it, what would
 * help, and when.
 */
export * from './testTasks'
export * from './rejected'
export * from './habits'
export * from './recalibration'
export * from './attempt'
export * from './hands'
export * from './outlook'
export * from './outlookCase'
export * from './helps'
export * from './forecast'
export * from './pace'
export * from './pastClasses'
export * from './until'
export * from './sayOdds'
export * from './nextCoupon'
export * from './ownTest'
export * from './practice'
