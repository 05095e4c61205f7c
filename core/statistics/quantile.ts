/**
 * A quantile of some values, in any order: linear between the two nearest. Source: definition 7 of Hyndman and
 * Fan 1996, what spreadsheets and R take.
 * @param share 0 to 1
 * @throws RangeError of no values
 * @example quantile([1, 2, 3, 4], 0.5) // 2.5
 */
export function quantile(values: readonly number[], share: number): number {
  if (values.length === 0) throw new RangeError('A quantile wants values')
  const sorted = [...values].sort((a, b) => a - b)
  const place = Math.min(1, Math.max(0, share)) * (sorted.length - 1)
  const below = Math.floor(place)
  const [low, high] = [sorted[below]!, sorted[Math.ceil(place)]!]
  return low + (place - below) * (high - low)
}
