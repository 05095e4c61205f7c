import type { JointShape } from '../deposit'
import type { FitUpWanted } from '../setup'
import { inches } from '../units'
import { pieceOf, pipeOf, type JointKind, type PieceKind, type PipeFilletKind, type PlateKind } from '../trade'

/** A flat practice plate; beads run along its length, the first one nearest the lower edge. Lengths mm. */
export interface PlatePiece {
  readonly kind: PlateKind
  readonly lengthMm: number
  readonly widthMm: number
  readonly thicknessMm: number
  /**
   * On an arc-strike plate the length of each run, on a restart strip the way from one restart to the next; absent
   * on a pad.
   */
  readonly everyMm?: number
}

/** Two plates without a groove. `legMm` is the leg wanted of a lap or T; on the others it is not used and 0. */
export interface JointPiece {
  readonly kind: JointKind
  readonly lengthMm: number
  readonly thicknessMm: number
  readonly gapMm: number
  readonly legMm: number
  readonly sides: 1 | 2
}

/**
 * How the edges of a groove are prepared. A double V and a U are known to the geometry; `radiusMm` is the U's.
 * Lengths mm, degrees.
 */
export interface GroovePrep {
  readonly shape: 'V' | 'double V' | 'U'
  readonly gapMm: number
  readonly landMm: number
  readonly includedDegrees: number
  readonly backing: boolean
}

export interface GroovePiece {
  readonly kind: 'plate groove'
  readonly lengthMm: number
  readonly thicknessMm: number
  readonly groove: GroovePrep
}

export interface PipeButt {
  readonly kind: 'pipe butt'
  /** Name of the pipe: `2 Sch 80`. */
  readonly pipe: string
  readonly groove: GroovePrep
}

/** A pipe set on a plate, or into a header of its own wall. */
export interface PipeFillet {
  readonly kind: PipeFilletKind
  readonly pipe: string
  readonly legMm: number
}

export type Piece = PlatePiece | JointPiece | GroovePiece | PipeButt | PipeFillet

/** Root radius of a U, mm. Common practice. */
export const U_RADIUS_MM = inches(1 / 4)

export const isPlate = (piece: Piece): piece is PlatePiece => pieceOf(piece.kind).work === 'plate'
export const isPipe = (piece: Piece): piece is PipeButt | PipeFillet => 'pipe' in piece
export const hasGroove = (piece: Piece): piece is GroovePiece | PipeButt => 'groove' in piece
export const isFilletPiece = (piece: Piece): piece is (JointPiece & { readonly kind: 'lap' | 'T' }) | PipeFillet =>
  pieceOf(piece.kind).work === 'fillet'

/** Plate or wall, mm. @throws RangeError for a pipe that is not kept */
export const thicknessOf = (piece: Piece): number => (isPipe(piece) ? pipeOf(piece.pipe).wallMm : piece.thicknessMm)

/**
 * Length of the seam: of the plate, or round the outside of the pipe.
 * @returns mm
 * @throws RangeError for a pipe that is not kept
 * @example seamLength({ kind: 'pipe butt', pipe: '2 Sch 80', groove }) // 189.5: 7.46 in
 */
export const seamLength = (piece: Piece): number =>
  isPipe(piece) ? Math.PI * pipeOf(piece.pipe).outsideMm : piece.lengthMm

/** Whether the root side is there to be read: an open root, or a square butt welded from one side. */
export const showsRoot = (piece: Piece): boolean =>
  hasGroove(piece)
    ? piece.groove.shape === 'V' && !piece.groove.backing
    : piece.kind === 'square butt' && piece.sides === 1

/** Whether a second side is welded. */
export const hasFarSide = (piece: Piece): boolean =>
  hasGroove(piece) ? piece.groove.shape === 'double V' : 'sides' in piece && piece.sides === 2

/**
 * The section that a piece's beads are planned in; null where there is only one bead.
 * @throws RangeError for a pipe that is not kept
 */
export function sectionShape(piece: Piece): JointShape | null {
  const thicknessMm = thicknessOf(piece)
  if (hasGroove(piece)) {
    const { shape, gapMm, landMm, includedDegrees, backing } = piece.groove
    if (shape === 'U')
      return { kind: 'U', thicknessMm, gapMm, landMm, radiusMm: U_RADIUS_MM, bevelDegrees: includedDegrees / 2 }
    const groove = { thicknessMm, gapMm, landMm, includedDegrees }
    return shape === 'V' ? { kind: 'V', groove, backing } : { kind: 'double V', groove }
  }
  return isFilletPiece(piece) ? { kind: 'fillet', legMm: piece.legMm, thicknessMm } : null
}

/** What a joint's fit-up is held against: as its groove is prepared; without one, its gap. */
export function fitUpWanted(piece: Piece): FitUpWanted {
  if (hasGroove(piece))
    return {
      gapMm: piece.groove.gapMm,
      landMm: piece.groove.landMm,
      includedDegrees: piece.groove.shape === 'U' ? null : piece.groove.includedDegrees,
    }
  return { gapMm: 'gapMm' in piece ? piece.gapMm : 0, landMm: null, includedDegrees: null }
}

const OPEN: GroovePrep = {
  shape: 'V',
  gapMm: inches(1 / 8),
  landMm: inches(3 / 32),
  includedDegrees: 60,
  backing: false,
}
const BACKED: GroovePrep = { shape: 'V', gapMm: inches(1 / 4), landMm: 0, includedDegrees: 45, backing: true }

/**
 * Usual sizes of a new piece of a kind. Common practice: 45° and 1/4 in on backing; 60°, 1/8 in open, land 3/32 in;
 * fillets of 1/4 in.
 */
export function usualPiece(kind: PieceKind, open = kind === 'pipe butt'): Piece {
  const { work, everyMm } = pieceOf(kind)
  if (work === 'plate')
    return {
      kind: kind as PlateKind,
      lengthMm: inches(6),
      widthMm: inches(4),
      thicknessMm: inches(3 / 8),
      ...(everyMm > 0 ? { everyMm } : {}),
    }
  if (kind === 'pipe butt') return { kind, pipe: '2 Sch 80', groove: open ? OPEN : BACKED }
  if (kind === 'plate groove')
    return { kind, lengthMm: inches(7), thicknessMm: inches(3 / 8), groove: open ? OPEN : BACKED }
  if (kind === 'pipe to plate' || kind === 'saddle') return { kind, pipe: '2 Sch 80', legMm: inches(1 / 4) }
  const thin = kind === 'outside corner' || kind === 'edge' || kind === 'square butt'
  return {
    kind: kind as JointKind,
    lengthMm: inches(6),
    thicknessMm: thin ? inches(3 / 16) : inches(3 / 8),
    gapMm: kind === 'square butt' ? inches(1 / 16) : 0,
    legMm: work === 'fillet' ? inches(1 / 4) : 0,
    sides: 1,
  }
}
