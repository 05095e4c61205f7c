/**
 * A limit is kept when it is met exactly. Two reckonings of one figure may differ in their last bits: lengths by less
 * than a millionth of a millimetre, shares and scores by less than a billionth. That is rounding, not metal.
 */
export const SAME_MM = 1e-6
export const SAME_SHARE = 1e-9

/** Whether a value is over a limit, by more than rounding. @example over(1.5875, inches(1 / 16)) // false */
export const over = (value: number, limit: number, same = SAME_MM): boolean => value - limit > same

/** Whether a value is under a limit, by more than rounding. */
export const under = (value: number, limit: number, same = SAME_MM): boolean => over(limit, value, same)

/** Whether a value is the limit itself, but for rounding. */
export const atLimit = (value: number, limit: number, same = SAME_MM): boolean =>
  !over(value, limit, same) && !under(value, limit, same)

/** The whole number of steps that fit a length; one that fits exactly counts. @example wholeSteps(0.3, 0.1) // 3 */
export const wholeSteps = (length: number, step: number): number => Math.floor(length / step + SAME_MM)

/** The fewest whole steps that cover a length; one that covers it exactly is enough. */
export const stepsToCover = (length: number, step: number): number => Math.ceil(length / step - SAME_SHARE)
