/**
 * How the pool lies: flat, horizontal, vertical or overhead. A pad is welded in one of these, and currents and
 * angles are kept by them.
 */
export type PadPosition = '1G' | '2G' | '3G' | '4G'

export type PositionId = PadPosition | '5G' | '6G' | '6GR' | '1F' | '2F' | '3F' | '4F' | '1FR' | '2FR' | '5F' | '6F'

/**
 * Which way the arc travels along the bead, as the instructor sees the plate; on a fixed pipe up is toward 12
 * o'clock.
 */
export type Travel = 'left to right' | 'right to left' | 'up' | 'down'

/** What a position is a position of. */
export type WeldKind = 'plate groove' | 'plate fillet' | 'pipe groove' | 'pipe fillet'

export interface Position<Id extends PositionId = PositionId> {
  readonly id: Id
  /** What a welder says: flat, horizontal, vertical, overhead; on pipe how the axis lies. */
  readonly name: string
  readonly iso6947: string
  /** Travel directions that make sense; the first is the usual one for a right-hander. */
  readonly travel: readonly Travel[]
  /** The welds that are made in this position. */
  readonly on: readonly WeldKind[]
  /** The pad position whose current and angles it is run with; a fixed pipe is run as vertical. Common practice. */
  readonly runAs: PadPosition
}

const ACROSS = ['left to right', 'right to left'] as const
const UP_OR_DOWN = ['up', 'down'] as const

/** Source: AWS A3.0 and ISO 6947, from memory, check your copy. */
export const PAD_POSITIONS: readonly Position<PadPosition>[] = [
  { id: '1G', name: 'flat', iso6947: 'PA', travel: ACROSS, on: ['plate groove', 'pipe groove'], runAs: '1G' },
  { id: '2G', name: 'horizontal', iso6947: 'PC', travel: ACROSS, on: ['plate groove', 'pipe groove'], runAs: '2G' },
  { id: '3G', name: 'vertical', iso6947: 'PF', travel: UP_OR_DOWN, on: ['plate groove'], runAs: '3G' },
  { id: '4G', name: 'overhead', iso6947: 'PE', travel: ACROSS, on: ['plate groove'], runAs: '4G' },
]

/**
 * All positions of plate and pipe, groove and fillet. Source: AWS A3.0 and ISO 6947, from memory, check your copy;
 * 6GR has no ISO twin.
 */
export const POSITIONS: readonly Position[] = [
  ...PAD_POSITIONS,
  { id: '5G', name: 'pipe level', iso6947: 'PH', travel: UP_OR_DOWN, on: ['pipe groove'], runAs: '3G' },
  { id: '6G', name: 'pipe at 45°', iso6947: 'H-L045', travel: UP_OR_DOWN, on: ['pipe groove'], runAs: '3G' },
  { id: '6GR', name: 'pipe at 45°, ring', iso6947: '', travel: UP_OR_DOWN, on: ['pipe groove'], runAs: '3G' },
  { id: '1F', name: 'flat', iso6947: 'PA', travel: ACROSS, on: ['plate fillet'], runAs: '1G' },
  { id: '2F', name: 'horizontal', iso6947: 'PB', travel: ACROSS, on: ['plate fillet', 'pipe fillet'], runAs: '2G' },
  { id: '3F', name: 'vertical', iso6947: 'PF', travel: UP_OR_DOWN, on: ['plate fillet'], runAs: '3G' },
  { id: '4F', name: 'overhead', iso6947: 'PD', travel: ACROSS, on: ['plate fillet', 'pipe fillet'], runAs: '4G' },
  { id: '1FR', name: 'flat, rolled', iso6947: 'PA', travel: ACROSS, on: ['pipe fillet'], runAs: '1G' },
  { id: '2FR', name: 'pipe level, rolled', iso6947: 'PB', travel: ACROSS, on: ['pipe fillet'], runAs: '2G' },
  { id: '5F', name: 'pipe level', iso6947: 'PH', travel: UP_OR_DOWN, on: ['pipe fillet'], runAs: '3G' },
  { id: '6F', name: 'pipe at 45°', iso6947: 'H-L045', travel: UP_OR_DOWN, on: ['pipe fillet'], runAs: '3G' },
]

/**
 * The position with this designation.
 * @throws RangeError naming the designations there are
 * @example positionOf('2G').name // 'horizontal'
 */
export function positionOf(id: string): Position {
  const found = POSITIONS.find(position => position.id === id)
  if (!found)
    throw new RangeError(`No position "${id}"; there are ${POSITIONS.map(position => position.id).join(', ')}`)
  return found
}

/**
 * The pad position by whose current and angles a position is run.
 * @example runAs('2F') // '2G'
 */
export const runAs = (id: PositionId): PadPosition => positionOf(id).runAs

/** Pipe that stands still while it is welded, its axis not plumb: its seam goes through every attitude. */
export const isFixedPipe = (id: PositionId): boolean =>
  positionOf(id).travel[0] === 'up' && !positionOf(id).on.some(kind => kind.startsWith('plate'))
