import type { LengthUnit } from '../units'
import { formatFraction, formatLength } from '../units'
import { discontinuityOf, pieceOf, rodSizeOf, sayClock } from '../trade'
import type { CouponDocument, Mark, Ticket } from './document'
import { isFlaw, isGauge } from './document'
import { laneName } from './laneNames'
import { hasGroove, isPipe, isPlate, seamLength, thicknessOf, type Piece } from './piece'
import { degreesAt } from './strip'

const SEVERITY = { 1: 'light', 2: 'plain', 3: 'bad' } as const

/**
 * A place along a seam: a length; on a pipe degrees and the clock before it.
 * @example describePlace(pipe, 71.1, 'in') // '135° (4:30), 2 13/16 in'
 */
export function describePlace(piece: Piece, atMm: number, unit: LengthUnit): string {
  if (!isPipe(piece)) return formatLength(atMm, unit)
  const degrees = degreesAt(atMm, seamLength(piece))
  return `${Math.round(degrees)}° (${sayClock(degrees)}), ${formatLength(atMm, unit)}`
}

/**
 * A mark in words, for lists and screen readers.
 * @example describeMark(document, mark, 'in') // 'bead 4, restart at 3 5/16 in: poor, high'
 */
export function describeMark(
  document: Pick<CouponDocument, 'beads' | 'passes' | 'piece'>,
  mark: Mark,
  unit: LengthUnit,
): string {
  return `${laneName(document, mark.beadId)}, ${describeFinding(document.piece, mark, unit)}`
}

/**
 * What a mark says, without the lane it is on.
 * @example describeFinding(piece, mark, 'in') // 'restart at 3 5/16 in: poor, high'
 */
export function describeFinding(piece: Piece, mark: Mark, unit: LengthUnit): string {
  const at = describePlace(piece, mark.atMm, unit)
  if (isGauge(mark)) return `${mark.of} at ${at}: ${formatLength(mark.valueMm, unit)}`
  if (!isFlaw(mark)) return `${mark.kind} at ${at}: ${mark.degree}${mark.fault ? `, ${mark.fault}` : ''}`
  const row = discontinuityOf(mark.flaw)
  const name = mark.form ? `${row.name.toLowerCase()}, ${mark.form}` : row.name.toLowerCase()
  const side = mark.side ? (mark.side === 'both' ? ', both toes' : `, ${mark.side} toe`) : ''
  const size =
    mark.sizeMm !== null && row.measured
      ? `, ${formatLength(mark.sizeMm, unit)} ${row.measured === 'diameter' ? 'across' : row.measured === 'depth' ? 'deep' : row.measured}`
      : ''
  const severity = mark.sizeMm === null ? `, ${SEVERITY[mark.severity]}` : ''
  if (row.givenAs === 'bead') return `${name}${severity}${size}`
  if (mark.toMm === mark.atMm) return `${name} at ${at}${severity}${size}`
  return `${name} from ${at} to ${describePlace(piece, mark.toMm, unit)}${side}${severity}${size}`
}

/** A rod as it is asked for: `E7018 · 1/8`. */
export function describeRod(ticket: Pick<Ticket, 'classification' | 'diameterMm'>): string {
  return `${ticket.classification} · ${rodSizeOf(ticket.diameterMm).name}`
}

/**
 * A piece as it is asked for: `6 × 4 × 3/8 in` for a pad; what is not a pad says so.
 * @example describePiece({ kind: 'pipe butt', pipe: '2 Sch 80', groove }, 'in') // 'pipe NPS 2 Sch 80, open root'
 */
export function describePiece(piece: Piece, unit: LengthUnit): string {
  if (isPipe(piece)) {
    const pipe = `NPS ${piece.pipe}`
    return hasGroove(piece)
      ? `pipe ${pipe}, ${rootName(piece)}`
      : `${piece.kind}, ${pipe}, ${formatLength(piece.legMm, unit)} leg`
  }
  const sizes = isPlate(piece)
    ? [piece.lengthMm, piece.widthMm, piece.thicknessMm]
    : [piece.lengthMm, thicknessOf(piece)]
  const size =
    unit === 'in'
      ? `${sizes.map(mm => formatFraction(mm)).join(' × ')} in`
      : `${sizes.map(mm => Math.round(mm)).join(' × ')} mm`
  if (piece.kind === 'pad') return size
  if (isPlate(piece)) return `${piece.kind}, ${size}`
  if (hasGroove(piece)) return `${piece.groove.shape} groove, ${rootName(piece)}, ${size}`
  const leg = piece.legMm > 0 ? `, ${formatLength(piece.legMm, unit)} leg` : ''
  return `${pieceOf(piece.kind).name}${piece.sides === 2 ? ', both sides' : ''}, ${size}${leg}`
}

const rootName = ({ groove }: { groove: { backing: boolean; shape: string } }): string =>
  groove.shape === 'double V' ? 'two sides' : groove.backing ? 'backing' : 'open root'
