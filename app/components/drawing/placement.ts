import type { PlatePiece, Ticket } from '~~/core/coupon'

/**
 * How a pad lies on the screen. Flat, horizontal and overhead pads run across it; vertical ones stand upright,
 * so that up on the plate is up on the screen. All in millimetres of plate; one drawing unit is one millimetre.
 */
export interface Placement {
  readonly upright: boolean
  readonly width: number
  readonly height: number
  /** SVG transform that takes drawing units of a lying plate (x along, y across) to the screen. */
  readonly transform: string
  /** Screen point of a place: along the beads, and above the lower edge. */
  readonly point: (atMm: number, offsetMm: number) => { x: number, y: number }
  /** The place under a screen point. */
  readonly place: (x: number, y: number) => { atMm: number, offsetMm: number }
  /** Across-coordinate of an offset in the lying frame. */
  readonly across: (offsetMm: number) => number
}

export function placementOf(piece: PlatePiece, ticket: Pick<Ticket, 'travel'>): Placement {
  const { lengthMm, widthMm } = piece
  if (ticket.travel === 'up' || ticket.travel === 'down') {
    return {
      upright: true, width: widthMm, height: lengthMm,
      transform: `translate(0 ${lengthMm}) rotate(-90)`,
      point: (atMm, offsetMm) => ({ x: offsetMm, y: lengthMm - atMm }),
      place: (x, y) => ({ atMm: lengthMm - y, offsetMm: x }),
      across: offsetMm => offsetMm,
    }
  }
  return {
    upright: false, width: lengthMm, height: widthMm,
    transform: '',
    point: (atMm, offsetMm) => ({ x: atMm, y: widthMm - offsetMm }),
    place: (x, y) => ({ atMm: x, offsetMm: widthMm - y }),
    across: offsetMm => widthMm - offsetMm,
  }
}
