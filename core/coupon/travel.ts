import type { Travel } from '../trade'
import type { Bead, CouponDocument } from './document'
import { passOf } from './passCard'
import { isPipe, seamLength } from './piece'

/** What a lane's direction depends on. */
type Laid = Pick<CouponDocument, 'piece' | 'ticket' | 'passes'>

/** Which way a lane was run: as its pass, or on a plate as the ticket says. */
export function travelOf(document: Laid, bead: Bead): Travel {
  return passOf(document, bead)?.travel ?? document.ticket.travel
}

/**
 * Whether the arc travels toward greater `atMm`: from the left edge, or from the lower edge of an upright plate. Up
 * a fixed pipe is toward
 * 12 o'clock, which lies at both ends of the unrolled strip: the right half runs backward, the left half forward.
 * @example travelsForward(document, bead) // false on a pad run right to left
 */
export function travelsForward(document: Laid, bead: Bead): boolean {
  const travel = travelOf(document, bead)
  if (!isPipe(document.piece) || travel === 'left to right' || travel === 'right to left')
    return travel === 'left to right' || travel === 'up'
  const onLeftHalf = (bead.fromMm + bead.toMm) / 2 > seamLength(document.piece) / 2
  return onLeftHalf === (travel === 'up')
}

/** Where the arc was lit on a lane, mm along the strip. */
export const beadStart = (document: Laid, bead: Bead): number =>
  travelsForward(document, bead) ? bead.fromMm : bead.toMm

/** Where the lane was finished, mm along the strip. */
export const beadEnd = (document: Laid, bead: Bead): number =>
  travelsForward(document, bead) ? bead.toMm : bead.fromMm

/** Whether a coupon is drawn standing: a plate that is welded up or down. An unrolled pipe always lies. */
export const standsUpright = ({ piece, ticket }: Pick<CouponDocument, 'piece' | 'ticket'>): boolean =>
  !isPipe(piece) && (ticket.travel === 'up' || ticket.travel === 'down')
