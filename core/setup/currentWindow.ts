import type { HouseRules } from '../house'
import type { Source } from '../trade'
import { A5_1_CURRENT, burnsAs, COMMON_PRACTICE, notMade, rodSizeOf } from '../trade'
import { practiceOf, type CurrentCase } from './practiceCurrents'

export interface CurrentWindow {
  readonly lowA: number
  readonly highA: number
  readonly source: Source
}

export const HOUSE_WINDOW: Source = { name: 'house rules', certainty: 'common practice' }

type BySize = Readonly<Record<string, readonly [number, number]>>

/** Typical ranges by class and diameter. Source: AWS A5.1 annex, from memory, check your copy. */
const PUBLISHED: Readonly<Record<string, BySize>> = {
  'E6010': { '3/32': [40, 80], '1/8': [75, 125], '5/32': [110, 170], '3/16': [140, 215] },
  'E6011': { '3/32': [40, 80], '1/8': [75, 125], '5/32': [110, 170], '3/16': [140, 215] },
  'E6012': {
    '1/16': [20, 40],
    '5/64': [25, 60],
    '3/32': [35, 85],
    '1/8': [80, 140],
    '5/32': [110, 190],
    '3/16': [140, 240],
  },
  'E6013': {
    '1/16': [20, 40],
    '5/64': [25, 60],
    '3/32': [45, 90],
    '1/8': [80, 130],
    '5/32': [105, 180],
    '3/16': [150, 230],
  },
  'E7014': { '3/32': [80, 125], '1/8': [110, 160], '5/32': [150, 210], '3/16': [200, 275] },
  'E7016': { '3/32': [65, 110], '1/8': [100, 150], '5/32': [140, 200], '3/16': [180, 255] },
  'E7018': { '3/32': [70, 100], '1/8': [115, 165], '5/32': [150, 220], '3/16': [200, 275] },
  'E7024': { '3/32': [100, 145], '1/8': [140, 190], '5/32': [180, 250], '3/16': [230, 305] },
  // Makers' handbooks: A5.4 prints none.
  'E308L-16': {
    '1/16': [20, 40],
    '5/64': [30, 55],
    '3/32': [45, 80],
    '1/8': [75, 115],
    '5/32': [105, 150],
    '3/16': [130, 190],
  },
}

/**
 * The published current window of a rod, for all positions.
 * @param diameterMm core diameter, mm
 * @returns amperes
 * @throws RangeError for a size that is not kept, or in which the class is not made
 * @example publishedWindow('E7018', 3.175) // { lowA: 115, highA: 165, source: A5.1 annex }
 */
export function publishedWindow(classification: string, diameterMm: number): CurrentWindow {
  const row = PUBLISHED[burnsAs(classification)]?.[rodSizeOf(diameterMm).soldFor]
  if (!row) throw new RangeError(notMade(classification, diameterMm))
  return { lowA: row[0], highA: row[1], source: A5_1_CURRENT }
}

/** What a window is of: a rod in a position, and what is known of what is run; a bead on plate where nothing is. */
export type WindowCase = Pick<CurrentCase, 'classification' | 'diameterMm' | 'position'> & Partial<CurrentCase>

/**
 * The one window that card, ticket, pass and reading go by: the house's own where it has one, else what schools run
 * where that differs, else the published range.
 * @returns amperes
 * @example currentWindow({ classification: 'E7018', diameterMm: 3.175, position: '2G' }, rules)
 *   // { lowA: 110, highA: 135, source: common practice }
 */
export function currentWindow(wanted: WindowCase, rules: HouseRules): CurrentWindow {
  const published = publishedWindow(wanted.classification, wanted.diameterMm)
  const house = houseWindow(wanted, rules)
  if (house) return house
  const practice = practiceOf({ joint: 'pad', pass: 'bead', ...wanted })
  return practice ? { lowA: practice.lowA, highA: practice.highA, source: COMMON_PRACTICE } : published
}

/** One make, however it is written. */
const sameMake = (one: string | undefined, other: string | undefined) =>
  one?.trim().toLowerCase() === other?.trim().toLowerCase()

/** The school's own window for a rod and position, of its make where there is one; null when it has none. */
function houseWindow(
  { classification, diameterMm, position, make }: WindowCase,
  rules: HouseRules,
): CurrentWindow | null {
  const ofRod = rules.windows.filter(
    row =>
      row.classification === classification &&
      row.position === position &&
      rodSizeOf(row.diameterMm).soldFor === rodSizeOf(diameterMm).soldFor,
  )
  const own = ofRod.find(row => row.make && sameMake(row.make, make)) ?? ofRod.find(row => !row.make)
  return own ? { lowA: own.lowA, highA: own.highA, source: HOUSE_WINDOW } : null
}
