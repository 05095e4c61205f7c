import type { Bead, CouponDocument, PadPiece, Ticket } from './document'

/** Beads on a pad, from the lower edge up. */
export interface LanePlan {
  readonly count: number
  readonly beadMm: number
  /** Share of the last bead that the next covers, 0 to under 1. */
  readonly overlap: number
}

/**
 * Lays out lanes at even steps, centred on the plate when they do not fill it.
 * @param idOf gives each bead its id from its number, 1 upward
 * @returns beads in the order they are laid; lengths mm
 * @throws RangeError when the lanes do not fit on the plate
 * @example layLanes(piece, { count: 2, beadMm: 10, overlap: 0.4 }, n => `b${n}`)[1].offsetMm - 6 // centre of bead 1
 */
export function layLanes(piece: PadPiece, { count, beadMm, overlap }: LanePlan, idOf: (number: number) => string): Bead[] {
  const step = beadMm * (1 - overlap)
  const covered = beadMm + step * (count - 1)
  if (covered > piece.widthMm + beadMm / 2)
    throw new RangeError(`${count} beads of ${beadMm.toFixed(1)} mm do not fit on a plate ${piece.widthMm.toFixed(0)} mm wide`)
  const first = Math.max(0, (piece.widthMm - covered) / 2) + beadMm / 2
  return Array.from({ length: count }, (_, index) => ({
    id: idOf(index + 1),
    offsetMm: first + step * index,
    widthMm: beadMm,
    fromMm: 0,
    toMm: piece.lengthMm,
  }))
}

/**
 * Whether the arc travels toward greater `atMm`: from the left edge, or from the lower edge of an upright plate.
 * @example travelsForward({ travel: 'right to left' }) // false
 */
export function travelsForward(ticket: Pick<Ticket, 'travel'>): boolean {
  return ticket.travel === 'left to right' || ticket.travel === 'up'
}

/** Where the arc was lit on a bead, mm along the plate. */
export function beadStart(bead: Bead, ticket: Pick<Ticket, 'travel'>): number {
  return travelsForward(ticket) ? bead.fromMm : bead.toMm
}

/** Where the bead was finished, mm along the plate. */
export function beadEnd(bead: Bead, ticket: Pick<Ticket, 'travel'>): number {
  return travelsForward(ticket) ? bead.toMm : bead.fromMm
}

/** Length of all beads of a coupon, mm. */
export function weldedLength(document: Pick<CouponDocument, 'beads'>): number {
  return document.beads.reduce((sum, bead) => sum + bead.toMm - bead.fromMm, 0)
}

/** Number of a bead in the order laid, from 1; 0 when it is not on the coupon. */
export function beadNumber(document: Pick<CouponDocument, 'beads'>, beadId: string): number {
  return document.beads.findIndex(bead => bead.id === beadId) + 1
}
