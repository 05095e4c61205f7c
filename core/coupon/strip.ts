import { grooveFace } from '../deposit'
import { inches } from '../units'
import { hasGroove, isFilletPiece, isPipe, isPlate, seamLength, thicknessOf, type Piece } from './piece'

/**
 * A line on a face that shows where the metal is: the edge of a bevel, a seam, the corner where two plates meet.
 * Above the lower edge, mm.
 */
export interface StripLine {
  readonly offsetMm: number
  readonly is: 'bevel edge' | 'seam' | 'plate edge'
}

/** A piece laid flat: along its seam, and across. A pipe is cut at 12 o'clock and unrolled clockwise. Lengths mm. */
export interface Strip {
  readonly lengthMm: number
  readonly widthMm: number
  readonly round: boolean
  /** Width of the finished weld at its face, and of its first bead. */
  readonly faceMm: number
  readonly rootMm: number
  readonly lines: readonly StripLine[]
  /** What lies below and above the seam, where the two are not alike. */
  readonly members: readonly [lower: string, upper: string] | null
}

/** Plate drawn to each side of a seam, mm. */
const BESIDE_MM = inches(1 / 2)
/**
 * A weld with no size given is about this many times as wide as its plate is thick, and at least a stringer. Common
 * practice.
 */
const BUTT_WIDTHS = 1.4
const NARROWEST_MM = inches(1 / 4)

/**
 * The strip a piece is drawn and measured on.
 * @throws RangeError for a pipe that is not kept, or a land thicker than its plate
 * @example stripOf({ kind: 'pipe butt', pipe: '2 Sch 80', groove }).lengthMm // 189.5
 */
export function stripOf(piece: Piece): Strip {
  const lengthMm = seamLength(piece)
  if (isPlate(piece))
    return {
      lengthMm,
      widthMm: piece.widthMm,
      round: false,
      faceMm: piece.widthMm,
      rootMm: piece.widthMm,
      lines: [],
      members: null,
    }
  const { edgesMm, faceMm, rootMm, line } = weldAcross(piece)
  const widthMm = faceMm + 2 * BESIDE_MM
  const middle = widthMm / 2
  const lines: StripLine[] =
    edgesMm > 0
      ? [
          { offsetMm: middle - edgesMm / 2, is: line },
          { offsetMm: middle + edgesMm / 2, is: line },
        ]
      : [{ offsetMm: middle, is: line }]
  return { lengthMm, widthMm, round: isPipe(piece), faceMm, rootMm, lines, members: MEMBERS[piece.kind] ?? null }
}

const MEMBERS: Readonly<Partial<Record<Piece['kind'], readonly [string, string]>>> = {
  'lap': ['lower plate', 'upper plate'],
  'T': ['plate', 'upright'],
  'pipe to plate': ['plate', 'pipe'],
  'saddle': ['header', 'branch'],
}

interface Across {
  edgesMm: number
  faceMm: number
  rootMm: number
  line: StripLine['is']
}

function weldAcross(piece: Exclude<Piece, { kind: 'pad' | 'arc-strike plate' | 'restart strip' }>): Across {
  const thicknessMm = thicknessOf(piece)
  if (hasGroove(piece)) {
    const { groove } = piece
    const halved = groove.shape === 'double V' ? (thicknessMm + groove.landMm) / 2 : thicknessMm
    const edgesMm = grooveFace({
      thicknessMm: halved,
      gapMm: groove.gapMm,
      landMm: groove.landMm,
      includedDegrees: groove.includedDegrees,
    })
    return {
      edgesMm,
      faceMm: edgesMm + inches(1 / 16),
      rootMm: Math.min(edgesMm, Math.max(groove.gapMm, inches(1 / 8)) + inches(1 / 16)),
      line: 'bevel edge',
    }
  }
  if (isFilletPiece(piece)) {
    const faceMm = piece.legMm * Math.SQRT2
    return {
      edgesMm: 0,
      faceMm,
      rootMm: Math.min(faceMm, inches(1 / 4)),
      line: piece.kind === 'lap' ? 'plate edge' : 'seam',
    }
  }
  const faceMm = Math.max(NARROWEST_MM, thicknessMm * BUTT_WIDTHS) + piece.gapMm
  return { edgesMm: piece.gapMm, faceMm, rootMm: Math.max(inches(1 / 8), piece.gapMm + inches(1 / 16)), line: 'seam' }
}

/**
 * Degrees from 12 o'clock, clockwise, at a place along an unrolled pipe.
 * @example degreesAt(94.75, 189.5) // 180: 6 o'clock
 */
export const degreesAt = (atMm: number, lengthMm: number): number => (360 * atMm) / lengthMm
