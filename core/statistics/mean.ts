/** The mean of some values; NaN of none. @example mean([1, 2, 6]) // 3 */
export const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length
