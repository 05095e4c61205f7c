/** The mean of some values; NaN of none. @example mean([1, 2, 6]) // 3 */
export const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length

/** Spread of some values about their mean, as it would be of many more (n − 1); NaN of fewer than two. */
export function sampleSd(values: readonly number[]): number {
  const middle = mean(values)
  return Math.sqrt(values.reduce((sum, value) => sum + (value - middle) ** 2, 0) / (values.length - 1))
}
