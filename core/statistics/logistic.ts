/** The logistic function: a chance from its logit. @example logistic(0) // 0.5 */
export const logistic = (x: number): number => 1 / (1 + Math.exp(-x))

/** The logit of a chance between 0 and 1. @example logit(0.8) // 1.386 */
export const logit = (p: number): number => Math.log(p / (1 - p))
