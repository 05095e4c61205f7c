import { inches, over } from '../units'
import { POSITIONS, runAs, type PositionId } from './positions'

export type Polarity = 'DCEP' | 'DCEN' | 'AC'

/** Rods that burn alike are pooled when rates are counted. */
export type RodFamily = 'cellulosic' | 'rutile' | 'low hydrogen' | 'high deposition' | 'GTAW wire'

export interface Electrode {
  readonly classification: string
  readonly covering: string
  readonly family: RodFamily
  readonly currents: readonly Polarity[]
  readonly fNumber: 1 | 2 | 3 | 4 | 5
  /** The pipeline standard's own group; null for a rod that it does not list. */
  readonly pipelineGroup: 'G1' | 'G2' | 'G3' | null
  /** The rod whose windows, volts and deposit are tabled for it; itself where it has its own. */
  readonly burnsAs: string
  readonly positions: readonly PositionId[]
  /** Weld metal deposited over core melted. Fitted to maker's count cards; weigh your own brand. */
  readonly recovery: number
}

const ALL: readonly PositionId[] = POSITIONS.map(position => position.id)
/** Position digit 2: flat, and horizontal fillets. */
const FLAT_AND_HORIZONTAL_FILLETS: readonly PositionId[] = ['1G', '1F', '1FR', '2F', '2FR']

/**
 * Covered electrodes a school uses. Covering, current, positions: AWS A5.1/A5.1M:2012 Table 1, A5.4 and A5.5 for the
 * stainless and low-alloy rods; pipeline groups: API 1104;
 * F-numbers: AWS D1.1 and ASME IX QW-432; both from memory, check your copy. Recovery: common practice.
 */
export const ELECTRODES: readonly Electrode[] = [
  {
    classification: 'E6010',
    covering: 'high cellulose sodium',
    family: 'cellulosic',
    currents: ['DCEP'],
    fNumber: 3,
    pipelineGroup: 'G1',
    burnsAs: 'E6010',
    positions: ALL,
    recovery: 0.9,
  },
  {
    classification: 'E6011',
    covering: 'high cellulose potassium',
    family: 'cellulosic',
    currents: ['AC', 'DCEP'],
    fNumber: 3,
    pipelineGroup: 'G1',
    burnsAs: 'E6011',
    positions: ALL,
    recovery: 0.9,
  },
  {
    classification: 'E6012',
    covering: 'high titania sodium',
    family: 'rutile',
    currents: ['AC', 'DCEN'],
    fNumber: 2,
    pipelineGroup: null,
    burnsAs: 'E6012',
    positions: ALL,
    recovery: 0.95,
  },
  {
    classification: 'E6013',
    covering: 'high titania potassium',
    family: 'rutile',
    currents: ['AC', 'DCEP', 'DCEN'],
    fNumber: 2,
    pipelineGroup: null,
    burnsAs: 'E6013',
    positions: ALL,
    recovery: 0.95,
  },
  {
    classification: 'E7014',
    covering: 'iron powder titania',
    family: 'rutile',
    currents: ['AC', 'DCEP', 'DCEN'],
    fNumber: 2,
    pipelineGroup: null,
    burnsAs: 'E7014',
    positions: ALL,
    recovery: 1,
  },
  {
    classification: 'E7016',
    covering: 'low hydrogen potassium',
    family: 'low hydrogen',
    currents: ['AC', 'DCEP'],
    fNumber: 4,
    pipelineGroup: 'G3',
    burnsAs: 'E7016',
    positions: ALL,
    recovery: 1.05,
  },
  {
    classification: 'E7018',
    covering: 'low hydrogen potassium, iron powder',
    family: 'low hydrogen',
    currents: ['DCEP', 'AC'],
    fNumber: 4,
    pipelineGroup: 'G3',
    burnsAs: 'E7018',
    positions: ALL,
    recovery: 1.05,
  },
  {
    classification: 'E7018-1',
    covering: 'low hydrogen potassium, iron powder, tougher',
    family: 'low hydrogen',
    currents: ['DCEP', 'AC'],
    fNumber: 4,
    pipelineGroup: 'G3',
    burnsAs: 'E7018',
    positions: ALL,
    recovery: 1.05,
  },
  {
    classification: 'E7018M',
    covering: 'low hydrogen potassium, iron powder, military',
    family: 'low hydrogen',
    currents: ['DCEP'],
    fNumber: 4,
    pipelineGroup: 'G3',
    burnsAs: 'E7018',
    positions: ALL,
    recovery: 1.05,
  },
  {
    classification: 'E7024',
    covering: 'iron powder titania',
    family: 'high deposition',
    currents: ['AC', 'DCEP', 'DCEN'],
    fNumber: 1,
    pipelineGroup: null,
    burnsAs: 'E7024',
    positions: FLAT_AND_HORIZONTAL_FILLETS,
    recovery: 1.42,
  },
  {
    classification: 'E7010-P1',
    covering: 'high cellulose sodium, for pipe',
    family: 'cellulosic',
    currents: ['DCEP'],
    fNumber: 3,
    pipelineGroup: 'G1',
    burnsAs: 'E6010',
    positions: ALL,
    recovery: 0.9,
  },
  {
    classification: 'E8010-P1',
    covering: 'high cellulose sodium, for pipe',
    family: 'cellulosic',
    currents: ['DCEP'],
    fNumber: 3,
    pipelineGroup: 'G2',
    burnsAs: 'E6010',
    positions: ALL,
    recovery: 0.9,
  },
  {
    classification: 'E8018-C3',
    covering: 'low hydrogen potassium, iron powder, 1 % nickel',
    family: 'low hydrogen',
    currents: ['DCEP', 'AC'],
    fNumber: 4,
    pipelineGroup: 'G3',
    burnsAs: 'E7018',
    positions: ALL,
    recovery: 1.05,
  },
  {
    classification: 'E308L-16',
    covering: 'titania, for 18/8 stainless',
    family: 'rutile',
    currents: ['DCEP', 'AC'],
    fNumber: 5,
    pipelineGroup: null,
    burnsAs: 'E308L-16',
    positions: ALL,
    recovery: 0.95,
  },
]

/**
 * The electrode of a classification as it is kept; suffixes of moisture (H4, R) do not belong to it.
 * @throws RangeError naming the classifications there are
 * @example electrodeOf('E7018').fNumber // 4
 */
export function electrodeOf(classification: string): Electrode {
  const found = ELECTRODES.find(electrode => electrode.classification === classification)
  if (!found)
    throw new RangeError(
      `No rod "${classification}"; there are ${ELECTRODES.map(electrode => electrode.classification).join(', ')}`,
    )
  return found
}

/** Rods with iron powder or a low-hydrogen covering hold a puddle out of position up to this core. AWS A5.1, memory. */
export const LARGEST_OUT_OF_POSITION_MM = inches(5 / 32)
const POOLS_RUN: ReadonlySet<string> = new Set(['E7014', 'E7016', 'E7018'])

/**
 * Whether a rod is too large for a position in which its class is welded: above 5/32 in such rods are made for flat and
 * horizontal only. Source: AWS A5.1 Table 1 and its notes, from memory, check your copy.
 * @param diameterMm core diameter, mm
 * @example isTooLarge('E7018', 4.76, '3G') // true
 */
export const isTooLarge = (classification: string, diameterMm: number, position: PositionId): boolean =>
  POOLS_RUN.has(burnsAs(classification)) &&
  over(diameterMm, LARGEST_OUT_OF_POSITION_MM + ROUNDING_MM) &&
  ['3G', '4G'].includes(runAs(position))
/** 4 mm is sold for 5/32 in. */
const ROUNDING_MM = 0.05

/**
 * The rod whose tables hold for a classification.
 * @example burnsAs('E7018-1') // 'E7018'
 */
export const burnsAs = (classification: string): string => electrodeOf(classification).burnsAs
