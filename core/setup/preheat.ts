import type { Source } from '../trade'
import { inches, over, under } from '../units'

export const PREHEAT_SOURCE: Source = {
  name: 'AWS D1.1:2015 Table 3.3, 2020 Table 5.8',
  certainty: 'from memory, check your copy',
}

/** Steel and process, as the code groups them. */
export const PREHEAT_CATEGORIES = [
  'A: SMAW, not low hydrogen',
  'B: low-hydrogen SMAW, common steels',
  'C: low-hydrogen SMAW, higher strength',
] as const
export type PreheatCategory = (typeof PREHEAT_CATEGORIES)[number]

/** Least preheat and interpass temperature, °F and °C, as the code prints them side by side. */
export interface Preheat {
  readonly fahrenheit: number
  readonly celsius: number
}

const at = (fahrenheit: number, celsius: number): Preheat => ({ fahrenheit, celsius })
const THICKNESS_MM = [inches(3 / 4), inches(1.5), inches(2.5), Infinity]
const TABLE: Readonly<Record<PreheatCategory, readonly Preheat[]>> = {
  'A: SMAW, not low hydrogen': [at(32, 0), at(150, 65), at(225, 110), at(300, 150)],
  'B: low-hydrogen SMAW, common steels': [at(32, 0), at(50, 10), at(150, 65), at(225, 110)],
  'C: low-hydrogen SMAW, higher strength': [at(50, 10), at(150, 65), at(225, 110), at(300, 150)],
}

/**
 * Least preheat of the thicker part.
 * @param thicknessMm mm, 1/8 in or more
 * @throws RangeError under 1/8 in
 * @example leastPreheat('B: low-hydrogen SMAW, common steels', 25.4) // { fahrenheit: 50, celsius: 10 }
 */
export function leastPreheat(category: PreheatCategory, thicknessMm: number): Preheat {
  if (!(thicknessMm > 0) || under(thicknessMm, inches(1 / 8))) throw new RangeError('The table begins at 1/8 in (3 mm)')
  return TABLE[category][THICKNESS_MM.findIndex(limit => !over(thicknessMm, limit))]!
}
