import type { Strip } from '~~/core/coupon'

/**
 * How a strip lies on the screen. Flat, horizontal and overhead plates run across it; vertical ones stand upright,
 * so that up on the plate is up on
 * the screen; an unrolled pipe always lies. All in millimetres; one drawing unit is one millimetre.
 */
export interface Placement {
  readonly upright: boolean
  readonly width: number
  readonly height: number
  /** SVG transform that takes drawing units of a lying strip (x along, y across) to the screen. */
  readonly transform: string
  /** Screen point of a place: along the beads, and above the lower edge. */
  readonly point: (atMm: number, offsetMm: number) => { x: number; y: number }
  /** The place under a screen point. */
  readonly place: (x: number, y: number) => { atMm: number; offsetMm: number }
  /** Across-coordinate of an offset in the lying frame. */
  readonly across: (offsetMm: number) => number
}

export function placementOf(strip: Pick<Strip, 'lengthMm' | 'widthMm'>, standing: boolean): Placement {
  const { lengthMm, widthMm } = strip
  if (standing) {
    return {
      upright: true,
      width: widthMm,
      height: lengthMm,
      transform: `translate(0 ${lengthMm}) rotate(-90)`,
      point: (atMm, offsetMm) => ({ x: offsetMm, y: lengthMm - atMm }),
      place: (x, y) => ({ atMm: lengthMm - y, offsetMm: x }),
      across: offsetMm => offsetMm,
    }
  }
  return {
    upright: false,
    width: lengthMm,
    height: widthMm,
    transform: '',
    point: (atMm, offsetMm) => ({ x: atMm, y: widthMm - offsetMm }),
    place: (x, y) => ({ atMm: x, offsetMm: widthMm - y }),
    across: offsetMm => widthMm - offsetMm,
  }
}
