import { electrodeOf, rodSizeOf, type RodFamily } from '../trade'

/** Rods of one maker's lot. Sizes in mm, money in hundredths of the school's own currency. */
export interface RodLot {
  readonly id: string
  readonly classification: string
  readonly diameterMm: number
  /** As printed on the box. */
  readonly makersLot: string
  /** The covering takes up damp slowly: an R in what is printed, like E7018-1 H4R. */
  readonly resistant: boolean
  /** Local day, ISO 8601. */
  readonly receivedOn: string
  /** The day on which its first box was opened, ISO 8601; null while all of them are sealed. */
  readonly openedOn: string | null
  readonly rodsInBox: number
  readonly boxPriceCents: number | null
  readonly place: string
}

/** Longest that rods of a class lie open, h. Source: AWS D1.1 and A5.5, from memory, check your copy. */
const RESISTANT_HOURS = 9
const LOW_ALLOY_HOURS: readonly (readonly [strength: number, hours: number])[] = [
  [100, 0.5],
  [90, 1],
  [80, 2],
]

const familyOf = ({ classification }: Pick<RodLot, 'classification'>): RodFamily => electrodeOf(classification).family

/** Whether rods have a clock once they are out of the oven: low hydrogen does. */
export const hasClock = (lot: Pick<RodLot, 'classification'>) => familyOf(lot) === 'low hydrogen'

/**
 * How long rods of a lot may be out of the oven, h. The house's hours are for rods of 70 ksi; a stronger rod has the
 * code's shorter time, one that takes up damp slowly the longer, and a house that is stricter than the code (4 h) is
 * stricter with every rod.
 * @returns null for a rod without a clock
 * @example hoursAllowed({ classification: 'E7018', resistant: false }, 4) // 4
 */
export function hoursAllowed(
  { classification, resistant }: Pick<RodLot, 'classification' | 'resistant'>,
  houseHours: number,
): number | null {
  if (!hasClock({ classification })) return null
  const code = codeHours(classification, resistant)
  return code === CODE_HOURS ? houseHours : houseHours < CODE_HOURS ? Math.min(houseHours, code) : code
}

/** What the code allows a rod of 70 ksi, h. Source: AWS D1.1, from memory, check your copy. */
const CODE_HOURS = 4

function codeHours(classification: string, resistant: boolean): number {
  const strength = Number(/^E(\d{2,3})\d{2}/.exec(classification)?.[1] ?? 70)
  const lowAlloy = LOW_ALLOY_HOURS.find(([least]) => strength >= least)
  if (lowAlloy) return lowAlloy[1]
  return resistant || classification === 'E7018M' ? RESISTANT_HOURS : CODE_HOURS
}

const STORES: Readonly<Record<RodFamily, string>> = {
  'low hydrogen': 'in the holding oven at 250 °F (120 °C) or more',
  'cellulosic': 'on a dry shelf, never in an oven: the covering needs its moisture',
  'rutile': 'dry and warm; discoloured or flaking rods are binned',
  'high deposition': 'dry and warm; discoloured or flaking rods are binned',
  'GTAW wire': 'dry and clean, in its tube',
}

/** Low hydrogen in a box that is still sealed. */
const SEALED = 'dry in sealed boxes; once one is opened, in the holding oven'

/** Where rods of a class lie, in words. Source: AWS D1.1 and makers' handbooks, from memory. */
export const storedHow = (lot: Pick<RodLot, 'classification' | 'openedOn'>) =>
  hasClock(lot) && lot.openedOn === null ? SEALED : STORES[familyOf(lot)]

/** `E7018 1/8 in, lot 4711`. */
export const lotName = ({ classification, diameterMm, makersLot }: Omit<RodLot, 'id'>) =>
  `${classification} ${rodSizeOf(diameterMm).label}, lot ${makersLot}`
