import type { Source } from '../trade'
import { burnsAs, rodSizeOf } from '../trade'
import { KG_PER_POUND } from '../units'

/** Weld metal laid in an hour of burning arc. */
export interface DepositionRate {
  readonly kgPerHour: number
  /**
   * The currents between which the table is kept, A; null when the current lies inside, or no table is kept for the
   * rod.
   */
  readonly beyond: { readonly lowA: number; readonly highA: number } | null
  readonly source: Source
}

const MAKERS: Source = {
  name: 'typical makers’ data',
  clause: 'deposition tables, ±15 %',
  certainty: 'from memory, check your copy',
}
const RULE_OF_THUMB: Source = {
  name: 'rule of thumb',
  clause: '0.8 to 1.1 kg/h for each 100 A',
  certainty: 'common practice',
}

/** Middle of the rule of thumb for rods without a table, kg/h for each ampere. */
const KG_PER_AMP_HOUR = 0.0095

type Point = readonly [amperes: number, poundsPerHour: number]

/** Pounds an hour at 100 % arc time. Source: typical makers' data as remembered; good to about 15 %. */
const TABLE: Readonly<Record<string, readonly Point[]>> = {
  'E6010 3/32': [[75, 1.5]],
  'E6010 1/8': [
    [100, 2.1],
    [130, 2.3],
  ],
  'E6010 5/32': [
    [140, 2.8],
    [170, 2.9],
  ],
  'E6010 3/16': [
    [160, 3.3],
    [190, 3.5],
  ],
  'E6011 3/32': [[75, 1.3]],
  'E6011 1/8': [[120, 2.3]],
  'E6011 5/32': [[150, 3.7]],
  'E6011 3/16': [[180, 4.1]],
  'E6013 1/8': [[125, 2.1]],
  'E6013 5/32': [
    [140, 2.6],
    [160, 3],
    [180, 3.5],
  ],
  'E6013 3/16': [
    [180, 3.2],
    [200, 3.8],
    [220, 4.1],
  ],
  'E7014 1/8': [
    [120, 2.45],
    [150, 3.15],
  ],
  'E7014 5/32': [
    [160, 3],
    [200, 3.7],
  ],
  'E7014 3/16': [
    [230, 4.5],
    [270, 5.5],
  ],
  'E7018 3/32': [
    [70, 1.37],
    [90, 1.65],
    [110, 1.73],
  ],
  'E7018 1/8': [
    [120, 2.58],
    [140, 2.74],
    [160, 2.99],
  ],
  'E7018 5/32': [
    [140, 3.11],
    [170, 3.78],
    [200, 4.31],
  ],
  'E7018 3/16': [
    [200, 4.85],
    [250, 5.36],
    [300, 5.61],
  ],
  'E7024 1/8': [
    [140, 4.16],
    [180, 5.07],
  ],
}

/**
 * Weld metal laid in an hour of burning arc: straight lines between the currents of the table. Outside them it goes
 * with the current
 * from the nearest row, and `beyond` says so; a rod with no table goes by the rule of thumb, and its source says so.
 * @param diameterMm core diameter, mm
 * @param currentA arc current, A
 * @throws RangeError for a current of 0 or less, or a size that is not kept
 * @example depositionRate('E7018', 3.175, 130).kgPerHour // 1.207: 2.66 lb/h
 */
export function depositionRate(classification: string, diameterMm: number, currentA: number): DepositionRate {
  if (!(currentA > 0)) throw new RangeError('Current is more than 0 A')
  const points = TABLE[`${burnsAs(classification)} ${rodSizeOf(diameterMm).soldFor}`]
  if (!points) return { kgPerHour: KG_PER_AMP_HOUR * currentA, beyond: null, source: RULE_OF_THUMB }
  const first = points[0]!
  const last = points.at(-1)!
  const outside = currentA < first[0] ? first : currentA > last[0] ? last : null
  const pounds = outside ? (outside[1] * currentA) / outside[0] : between(points, currentA)
  return {
    kgPerHour: pounds * KG_PER_POUND,
    beyond: outside ? { lowA: first[0], highA: last[0] } : null,
    source: MAKERS,
  }
}

/**
 * What to say of a rate that the table does not hold; null when it does.
 * @example beyondTable(depositionRate('E7018', 3.175, 100)) // 'Deposition is tabled from 120 to 160 A; …'
 */
export function beyondTable({ beyond, source }: DepositionRate): string | null {
  if (beyond)
    return beyond.lowA === beyond.highA
      ? `Deposition is tabled at ${beyond.lowA} A alone; elsewhere it goes with the current`
      : `Deposition is tabled from ${beyond.lowA} to ${beyond.highA} A; beyond that it goes with the current`
  return source === RULE_OF_THUMB ? 'No deposition is tabled for this rod; it goes by the rule of thumb' : null
}

function between(points: readonly Point[], currentA: number): number {
  const above = points.findIndex(([amperes]) => amperes >= currentA)
  const [highA, high] = points[above]!
  const [lowA, low] = points[Math.max(0, above - 1)]!
  return highA === lowA ? high : low + ((high - low) * (currentA - lowA)) / (highA - lowA)
}
