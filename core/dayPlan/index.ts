/**
 * Who runs what, in which booth and when, on a class day: what would serve each student, what booths, readings, rods
 * and pieces allow, a plan as it is made by hand and the best one by an integer program.
 */
export * from './planCase'
export * from './rungNeeds'
export * from './ownPace'
export * from './wantedCoupons'
export * from './planConflicts'
export * from './planUse'
export * from './planScore'
export * from './planAnswers'
export * from './bestPlan'
export * from './greedyPlan'
export { readingsInStep } from './readings'
