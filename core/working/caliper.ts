import { inches } from '../units'

/** A key that was pressed, and when, ms. */
export interface TypedKey {
  readonly key: string
  readonly atMs: number
}

/** No hand presses three keys running so close to each other, ms; a caliper sends one in 5 to 20. From memory. */
export const CALIPER_KEY_MS = 35
const FEWEST_KEYS = 3
const OF_A_READING = /^[\d.,+\- min"]$/i
const READING = /^\+?\s*(\d*[.,]\d+)\s*(mm|in|")?$/i

/** Whether a key may be one of a caliper's reading. @example isOfReading('5') // true */
export const isOfReading = (key: string): boolean => OF_A_READING.test(key)

/**
 * What a caliper typed that sends its reading as a keyboard does: the keys that came faster than a hand's up to the
 * last of them, when they make a figure with decimals. Without a unit the decimals tell it, as a digital caliper shows
 * 0.01 mm, and 0.001 or 0.0005 in (common practice).
 * @param keys in their order, without the key that ends a reading
 * @returns millimetres; null where a hand typed, or what came is no reading
 * @example caliperReading(keysOf('0.2505')) // 6.3627
 */
export function caliperReading(keys: readonly TypedKey[]): number | null {
  let from = keys.length
  while (from > 0 && isOfReading(keys[from - 1]!.key) && (from === keys.length || isNext(keys, from))) from--
  const burst = keys.slice(from)
  if (burst.length < FEWEST_KEYS) return null
  const found = READING.exec(
    burst
      .map(({ key }) => key)
      .join('')
      .trim(),
  )
  if (!found) return null
  const figure = found[1]!.replace(',', '.')
  const unit = found[2]?.toLowerCase() ?? (figure.split('.')[1]!.length > 2 ? 'in' : 'mm')
  return unit === 'mm' ? Number(figure) : inches(Number(figure))
}

const isNext = (keys: readonly TypedKey[], at: number) => keys[at]!.atMs - keys[at - 1]!.atMs <= CALIPER_KEY_MS
