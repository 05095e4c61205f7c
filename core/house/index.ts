/**
 * How a school does things: its figures and its ways, as data with defaults. Every later judgement asks here.
 */
export * from './houseRules'
export * from './ways'
export * from './catalogue'
export * from './sayRule'
export * from './schoolsOfPractice'
