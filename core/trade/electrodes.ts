import { POSITIONS, type PositionId } from './positions'

export type Polarity = 'DCEP' | 'DCEN' | 'AC'

/** Rods that burn alike are pooled when rates are counted. */
export type RodFamily = 'cellulosic' | 'rutile' | 'low hydrogen' | 'high deposition' | 'GTAW wire'

export interface Electrode {
  readonly classification: string
  readonly covering: string
  readonly family: RodFamily
  readonly currents: readonly Polarity[]
  readonly fNumber: 1 | 2 | 3 | 4
  readonly positions: readonly PositionId[]
  /** Weld metal deposited over core melted. Fitted to maker's count cards; weigh your own brand. */
  readonly recovery: number
}

const ALL: readonly PositionId[] = POSITIONS.map(position => position.id)
/** Position digit 2: flat, and horizontal fillets. */
const FLAT_AND_HORIZONTAL_FILLETS: readonly PositionId[] = ['1G', '1F', '1FR', '2F', '2FR']

/**
 * Covered electrodes a school uses. Covering, current, positions: AWS A5.1/A5.1M:2012 Table 1;
 * F-numbers: AWS D1.1 and ASME IX QW-432; both from memory, check your copy. Recovery: common practice.
 */
export const ELECTRODES: readonly Electrode[] = [
  {
    classification: 'E6010',
    covering: 'high cellulose sodium',
    family: 'cellulosic',
    currents: ['DCEP'],
    fNumber: 3,
    positions: ALL,
    recovery: 0.9,
  },
  {
    classification: 'E6011',
    covering: 'high cellulose potassium',
    family: 'cellulosic',
    currents: ['AC', 'DCEP'],
    fNumber: 3,
    positions: ALL,
    recovery: 0.9,
  },
  {
    classification: 'E6012',
    covering: 'high titania sodium',
    family: 'rutile',
    currents: ['AC', 'DCEN'],
    fNumber: 2,
    positions: ALL,
    recovery: 0.95,
  },
  {
    classification: 'E6013',
    covering: 'high titania potassium',
    family: 'rutile',
    currents: ['AC', 'DCEP', 'DCEN'],
    fNumber: 2,
    positions: ALL,
    recovery: 0.95,
  },
  {
    classification: 'E7014',
    covering: 'iron powder titania',
    family: 'rutile',
    currents: ['AC', 'DCEP', 'DCEN'],
    fNumber: 2,
    positions: ALL,
    recovery: 1,
  },
  {
    classification: 'E7016',
    covering: 'low hydrogen potassium',
    family: 'low hydrogen',
    currents: ['AC', 'DCEP'],
    fNumber: 4,
    positions: ALL,
    recovery: 1.05,
  },
  {
    classification: 'E7018',
    covering: 'low hydrogen potassium, iron powder',
    family: 'low hydrogen',
    currents: ['DCEP', 'AC'],
    fNumber: 4,
    positions: ALL,
    recovery: 1.05,
  },
  {
    classification: 'E7024',
    covering: 'iron powder titania',
    family: 'high deposition',
    currents: ['AC', 'DCEP', 'DCEN'],
    fNumber: 1,
    positions: FLAT_AND_HORIZONTAL_FILLETS,
    recovery: 1.42,
  },
]

/**
 * The electrode of a classification, whatever its suffixes (-1, M, H4, R).
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
