/**
 * One welder's test from plan to record: its coupon, steps, specimens and bends, where it stands, what is at fault,
 * retests, the dates that keep it alive, and the school's tests in figures.
 */
export * from './testCoupon'
export * from './specimens'
export * from './bendVerdict'
export * from './openingOrigin'
export * from './welderTest'
export * from './visual'
export * from './testState'
export * from './testOutcome'
export * from './testStanding'
export * from './retests'
export * from './testFaults'
export * from './testSteps'
export * from './continuity'
export * from './testFigures'
