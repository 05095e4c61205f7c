import { inches } from '../units'

/** A flat practice plate, by what is run on it. */
export type PlateKind = 'pad' | 'arc-strike plate' | 'restart strip'

export interface PlatePieceKind {
  readonly kind: PlateKind
  readonly name: string
  /** What `everyMm` is on this piece; null where there is no such thing. */
  readonly every: string | null
  readonly everyMm: number
  /** Short runs in rows with plate between them, not lanes lapped across the plate. */
  readonly inRows: boolean
}

/** Plates of the first weeks. Source: common practice: strike, an inch, stop, again; a bead that is restart after restart. */
export const PLATE_PIECES: readonly PlatePieceKind[] = [
  { kind: 'pad', name: 'pad', every: null, everyMm: 0, inRows: false },
  { kind: 'arc-strike plate', name: 'arc-strike plate', every: 'Each run', everyMm: inches(1), inRows: true },
  { kind: 'restart strip', name: 'restart strip', every: 'Restart every', everyMm: inches(1), inRows: false },
]

/**
 * The plate piece of this kind.
 * @throws RangeError naming the kinds there are
 * @example platePieceOf('restart strip').everyMm // 25.4
 */
export function platePieceOf(kind: string): PlatePieceKind {
  const found = PLATE_PIECES.find(piece => piece.kind === kind)
  if (!found) throw new RangeError(`No piece "${kind}"; there are ${PLATE_PIECES.map(piece => piece.kind).join(', ')}`)
  return found
}
