/**
 * What is cut from which bar: patterns of pieces on stock lengths and offcuts, the fewest bars by an integer program,
 * and a plan by hand beside it.
 */
export * from './cutOrder'
export * from './cutPlan'
export * from './bestCut'
