import type { LengthUnit } from '../units'
import { formatFraction, formatLength } from '../units'
import { discontinuityOf, rodSizeOf } from '../trade'
import type { CouponDocument, Mark, PlatePiece, Ticket } from './document'
import { isFlaw, isReading } from './document'
import { beadNumber } from './lanes'

const SEVERITY = { 1: 'light', 2: 'plain', 3: 'bad' } as const

/**
 * A mark in words, for lists and screen readers.
 * @example describeMark(document, mark, 'in') // 'bead 4, restart at 3 5/16 in: poor, high'
 */
export function describeMark(document: Pick<CouponDocument, 'beads'>, mark: Mark, unit: LengthUnit): string {
  const bead = `bead ${beadNumber(document, mark.beadId)}`
  const at = formatLength(mark.atMm, unit)
  if (isReading(mark)) return `${bead}, ${mark.of} at ${at}: ${formatLength(mark.valueMm, unit)}`
  if (!isFlaw(mark)) return `${bead}, ${mark.kind} at ${at}: ${mark.degree}${mark.fault ? `, ${mark.fault}` : ''}`
  const row = discontinuityOf(mark.flaw)
  const name = row.name.toLowerCase()
  const side = mark.side ? (mark.side === 'both' ? ', both toes' : `, ${mark.side} toe`) : ''
  const size = mark.sizeMm !== null && row.measured ? `, ${formatLength(mark.sizeMm, unit)} ${row.measured === 'diameter' ? 'across' : row.measured === 'depth' ? 'deep' : row.measured}` : ''
  const severity = mark.sizeMm === null ? `, ${SEVERITY[mark.severity]}` : ''
  if (row.givenAs === 'bead') return `${bead}, ${name}${severity}${size}`
  if (mark.toMm === mark.atMm) return `${bead}, ${name} at ${at}${severity}${size}`
  return `${bead}, ${name} from ${at} to ${formatLength(mark.toMm, unit)}${side}${severity}${size}`
}

/** A rod as it is asked for: `E7018 · 1/8`. */
export function describeRod(ticket: Pick<Ticket, 'classification' | 'diameterMm'>): string {
  return `${ticket.classification} · ${rodSizeOf(ticket.diameterMm).name}`
}

/** A plate as it is asked for: `6 × 4 × 3/8 in`; what is not a pad says so. */
export function describePiece(piece: PlatePiece, unit: LengthUnit): string {
  const sizes = [piece.lengthMm, piece.widthMm, piece.thicknessMm]
  const size = unit === 'in' ? `${sizes.map(mm => formatFraction(mm)).join(' × ')} in` : `${sizes.map(mm => Math.round(mm)).join(' × ')} mm`
  return piece.kind === 'pad' ? size : `${piece.kind}, ${size}`
}
