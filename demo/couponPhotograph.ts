import { encode } from 'jpeg-js'
import { isFlaw, isTry, standsUpright, stripOf, type Bead, type CouponDocument } from '../core/coupon'
import { placeAt, usualAcrossMm, type Corners, type PictureLies } from '../core/picture'
import { seededRandom, type Random } from '../core/statistics'

/** A made-up picture of a plate: what a camera would see of the coupon's own beads and faults. */
export interface CouponPhotograph {
  /** JPEG. */
  readonly bytes: Uint8Array
  readonly widthPx: number
  readonly heightPx: number
  readonly lies: PictureLies
}

/** Size of a picture unless another is asked for, px: width and height. */
const SIZE = [1120, 840] as const
const QUALITY = 72
/** Brightness of 255: the bench, bare plate, and how much a bead's crown stands out of its toes. */
const BENCH = 46
const PLATE = 132
const CROWN = 34
const RIPPLE_MM = 1.7

/**
 * A hand does not hold a camera square: corners as shares of the picture, each a little off. A plate that stood has its
 * first bead on the left of its start, so its edges lie the other way round.
 */
function heldAskew(random: Random, [width, height]: readonly [number, number], stood: boolean): Corners {
  const off = () => 0.03 * (random.uniform() - 0.5)
  const at = (x: number, y: number) => ({ x: (x + off()) * width, y: (y + off()) * height })
  const corners = [at(0.1, 0.14), at(0.9, 0.14), at(0.9, 0.86), at(0.1, 0.86)] as const
  return stood ? [corners[3], corners[2], corners[1], corners[0]] : corners
}

/** Brightness of the steel at a place of its strip, mm from its upper edge. */
function brightnessOf({ beads, marks }: CouponDocument, widthMm: number): (x: number, y: number) => number {
  const undercuts = marks.filter(isFlaw).filter(mark => mark.flaw === 'undercut')
  const lumps = marks.filter(isTry).filter(mark => mark.degree !== 'sound')
  const onBead = (bead: Bead, x: number, across: number): number => {
    const bow = x - 0.28 * bead.widthMm * (1 - across * across)
    const lump = lumps.some(mark => mark.beadId === bead.id && Math.abs(mark.atMm - x) < 3) ? 14 : 0
    const toe = undercuts.some(mark => mark.beadId === bead.id && x > mark.atMm && x < mark.toMm)
    const dark = toe && Math.abs(across) > 0.8 ? 45 : 0
    const round = CROWN * (2 * Math.sqrt(1 - across * across) - 1)
    return PLATE + round + 0.45 * CROWN * Math.sin((2 * Math.PI * bow) / RIPPLE_MM) + lump - dark
  }
  return (x, y) => {
    for (let n = beads.length - 1; n >= 0; n--) {
      const bead = beads[n]!
      // No hand holds a line or a width to a hair.
      const strays = 0.35 * Math.sin(x / 17 + n)
      const half = (bead.widthMm / 2) * (1 + 0.05 * Math.sin(x / 6 + 2 * n))
      const across = (y - (widthMm - bead.offsetMm) - strays) / half
      if (Math.abs(across) < 1 && x > bead.fromMm && x < bead.toMm) return onBead(bead, x, across)
    }
    return PLATE + 3 * Math.sin(y * 2.3)
  }
}

/**
 * Takes a made-up picture of a coupon on a plate, lit from one side, on a dark bench.
 * @param seed the same seed gives the same picture
 * @param size width and height, px
 */
export function couponPhotograph(
  document: CouponDocument,
  seed: number,
  size: readonly [number, number] = SIZE,
): CouponPhotograph {
  const [widthPx, heightPx] = size
  const random = seededRandom(seed)
  const { lengthMm, widthMm } = stripOf(document.piece)
  const lies: PictureLies = {
    corners: heldAskew(random, size, standsUpright(document)),
    acrossMm: usualAcrossMm(document.piece),
    quarter: null,
  }
  const place = placeAt({ piece: document.piece, lies })
  const steel = brightnessOf(document, widthMm)
  const data = Buffer.alloc(widthPx * heightPx * 4, 255)
  for (let row = 0; row < heightPx; row++)
    for (let column = 0; column < widthPx; column++) {
      const { x, y } = place({ x: column + 0.5, y: row + 0.5 })
      const onSteel = x >= 0 && x <= lengthMm && y >= 0 && y <= widthMm
      const light = 12 - 24 * (column / widthPx)
      const bright = (onSteel ? steel(x, y) + light : BENCH) + 7 * (random.uniform() - 0.5)
      const at = (row * widthPx + column) * 4
      data[at] = Math.max(0, Math.min(255, bright))
      data[at + 1] = Math.max(0, Math.min(255, bright + 2))
      data[at + 2] = Math.max(0, Math.min(255, bright + 5))
    }
  const { data: bytes } = encode({ data, width: widthPx, height: heightPx }, QUALITY)
  return { bytes, widthPx, heightPx, lies }
}
