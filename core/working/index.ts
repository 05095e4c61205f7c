/**
 * The trade's arithmetic with its working: each sheet has its formula, its inputs with their ranges, its results
 * and their source.
 */
export * from './sheet'
export * from './parseInput'
export * from './sheets'
export * from './caliper'
