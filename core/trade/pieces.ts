import { inches } from '../units'
import type { PositionId, WeldKind } from './positions'
import { POSITIONS } from './positions'

/** A flat practice plate, by what is run on it. */
export type PlateKind = 'pad' | 'arc-strike plate' | 'restart strip'
/** Two plates joined without a groove. */
export type JointKind = 'square butt' | 'lap' | 'T' | 'outside corner' | 'edge'
export type PipeFilletKind = 'pipe to plate' | 'saddle'
export type PieceKind = PlateKind | JointKind | 'plate groove' | 'pipe butt' | PipeFilletKind

/** What a piece trains; rates are kept apart by it, as a restart on a pad says little about one in a groove. */
export type Work = 'plate' | 'joint' | 'fillet' | 'groove' | 'pipe'

export interface PieceRow {
  readonly kind: PieceKind
  readonly name: string
  readonly work: Work
  /** Which positions it can be welded in: those of this weld. */
  readonly weld: WeldKind
  /** What `everyMm` is on this piece; null where there is no such thing. */
  readonly every: string | null
  readonly everyMm: number
  /** Short runs in rows with plate between them, not lanes lapped across the plate. */
  readonly inRows: boolean
  /** May be welded from both sides. */
  readonly twoSides: boolean
}

const row = (kind: PieceKind, work: Work, weld: WeldKind, more: Partial<PieceRow> = {}): PieceRow => ({
  kind,
  name: kind,
  work,
  weld,
  every: null,
  everyMm: 0,
  inRows: false,
  twoSides: false,
  ...more,
})

/**
 * Every coupon a school welds, in the order of the first weeks to the last. Source: common practice; welds by AWS
 * A3.0.
 */
export const PIECES: readonly PieceRow[] = [
  row('pad', 'plate', 'plate groove'),
  row('arc-strike plate', 'plate', 'plate groove', { every: 'Each run', everyMm: inches(1), inRows: true }),
  row('restart strip', 'plate', 'plate groove', { every: 'Restart every', everyMm: inches(1) }),
  row('square butt', 'joint', 'plate groove', { twoSides: true }),
  row('lap', 'fillet', 'plate fillet', { twoSides: true }),
  row('T', 'fillet', 'plate fillet', { name: 'T fillet', twoSides: true }),
  row('outside corner', 'joint', 'plate groove'),
  row('edge', 'joint', 'plate groove'),
  row('plate groove', 'groove', 'plate groove', { name: 'groove in plate' }),
  row('pipe butt', 'pipe', 'pipe groove'),
  row('pipe to plate', 'fillet', 'pipe fillet'),
  row('saddle', 'fillet', 'pipe fillet', { name: 'pipe saddle' }),
]

/**
 * The row of a piece.
 * @throws RangeError naming the pieces there are
 * @example pieceOf('restart strip').everyMm // 25.4
 */
export function pieceOf(kind: string): PieceRow {
  const found = PIECES.find(piece => piece.kind === kind)
  if (!found) throw new RangeError(`No piece "${kind}"; there are ${PIECES.map(piece => piece.kind).join(', ')}`)
  return found
}

/**
 * The positions a piece can be welded in.
 * @example positionsFor('pipe butt') // ['1G', '2G', '5G', '6G', '6GR']
 */
export function positionsFor(kind: PieceKind): PositionId[] {
  const { weld } = pieceOf(kind)
  return POSITIONS.filter(position => position.on.includes(weld)).map(position => position.id)
}
