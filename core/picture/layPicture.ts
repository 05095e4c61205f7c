import type { Piece } from '../coupon'
import { stripOf } from '../coupon'
import { radiusOf, spanOf, type PictureLies } from './couponPicture'
import { homographyOf, mapPoint } from './homography'
import type { Corners, Point } from './plane'

/** Pixels by rows from the upper left, red, green, blue and opacity in four bytes each. */
export interface Pixels {
  readonly data: Uint8ClampedArray
  readonly width: number
  readonly height: number
}

/** What a picture was taken of. */
export interface PictureOf {
  readonly piece: Piece
  readonly lies: PictureLies
}

/** A place of the lying strip, mm: along the beads from the strip's start, across from its upper edge. */
type Place = Point

const EIGHTH = Math.PI / 4

/**
 * Where the steel lies in the plane of its four corners, mm from the middle of that plane. A plate lies flat in it. Of
 * a pipe the plane is the chord of its quarter, and a place between lies at the sine of its angle: as seen from far
 * off. At a hand's width before a small pipe the crown is some 3 % larger than this says.
 */
function inPlane({ piece, lies }: PictureOf): { plane: Corners; flat: (place: Place) => Point; back: Back } {
  const { fromMm, toMm } = spanOf(piece, lies.quarter)
  const middle = { x: (fromMm + toMm) / 2, y: stripOf(piece).widthMm / 2 }
  const radius = lies.quarter === null ? null : radiusOf(piece)
  const long = radius === null ? toMm - fromMm : 2 * radius * Math.sin(EIGHTH)
  /** Radians of the pipe in a millimetre of its strip. */
  const turned = (2 * EIGHTH) / (toMm - fromMm)
  const [x, y] = [long / 2, lies.acrossMm / 2]
  return {
    plane: [
      { x: -x, y: -y },
      { x, y: -y },
      { x, y },
      { x: -x, y },
    ],
    flat: place => ({
      x: radius === null ? place.x - middle.x : radius * Math.sin((place.x - middle.x) * turned),
      y: place.y - middle.y,
    }),
    back: point => ({
      x: middle.x + (radius === null ? point.x : Math.asin(Math.max(-1, Math.min(1, point.x / radius))) / turned),
      y: middle.y + point.y,
    }),
  }
}
type Back = (point: Point) => Place

/**
 * Where a place of the strip is seen on its picture.
 * @returns px of the picture, for a place in mm
 */
export function seenAt(of: PictureOf): (place: Place) => Point {
  const { plane, flat } = inPlane(of)
  const seen = homographyOf(plane, of.lies.corners)
  return place => mapPoint(seen, flat(place))
}

/**
 * The place of the strip under a point of its picture.
 * @returns mm, for a point in px
 */
export function placeAt(of: PictureOf): (point: Point) => Place {
  const { plane, back } = inPlane(of)
  const seen = homographyOf(of.lies.corners, plane)
  return point => back(mapPoint(seen, point))
}

/**
 * How far a place of the strip may be off because a corner was not set to the pixel: one standard deviation at the
 * worst of nine places, every corner set with the same care.
 * @param strayPx standard deviation of a corner in each direction, px of the picture
 * @returns mm
 */
export function strayMm(of: PictureOf, strayPx: number): number {
  const { fromMm, toMm } = spanOf(of.piece, of.lies.quarter)
  const { widthMm } = stripOf(of.piece)
  const places = [0.02, 0.5, 0.98].flatMap(along =>
    [0, 0.5, 1].map(across => ({ x: fromMm + along * (toMm - fromMm), y: across * widthMm })),
  )
  const points = places.map(seenAt(of))
  const squares = places.map(() => 0)
  for (let n = 0; n < 4; n++)
    for (const axis of ['x', 'y'] as const) {
      const corners = of.lies.corners.map((corner, at) =>
        at === n ? { ...corner, [axis]: corner[axis] + strayPx } : corner,
      ) as unknown as Corners
      const off = placeAt({ ...of, lies: { ...of.lies, corners } })
      points.forEach((point, at) => {
        const place = off(point)
        squares[at]! += (place.x - places[at]!.x) ** 2 + (place.y - places[at]!.y) ** 2
      })
    }
  return Math.sqrt(Math.max(...squares))
}

/**
 * A picture laid out to the scale of the strip: the part it covers, from its upper left corner. Colours between four
 * pixels are mixed by nearness; what the picture does not show is clear.
 * @param pxPerMm of what is laid out
 */
export function layPicture(picture: Pixels, of: PictureOf, pxPerMm: number): Pixels {
  const { fromMm, toMm } = spanOf(of.piece, of.lies.quarter)
  const width = Math.max(1, Math.round((toMm - fromMm) * pxPerMm))
  const height = Math.max(1, Math.round(stripOf(of.piece).widthMm * pxPerMm))
  const data = new Uint8ClampedArray(width * height * 4)
  const seen = seenAt(of)
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++) {
      const { x, y } = seen({ x: fromMm + (column + 0.5) / pxPerMm, y: (row + 0.5) / pxPerMm })
      // A pixel's colour is that of its middle.
      mix(picture, x - 0.5, y - 0.5, data, (row * width + column) * 4)
    }
  return { data, width, height }
}

function mix({ data, width, height }: Pixels, x: number, y: number, to: Uint8ClampedArray, at: number): void {
  if (!(x > -1 && y > -1 && x < width && y < height)) return
  const left = Math.min(width - 1, Math.max(0, Math.floor(x)))
  const top = Math.min(height - 1, Math.max(0, Math.floor(y)))
  const right = Math.min(width - 1, left + 1)
  const bottom = Math.min(height - 1, top + 1)
  const [over, down] = [Math.max(0, x - left), Math.max(0, y - top)]
  for (let part = 0; part < 4; part++) {
    const value = (column: number, row: number) => data[(row * width + column) * 4 + part]!
    const above = value(left, top) * (1 - over) + value(right, top) * over
    const below = value(left, bottom) * (1 - over) + value(right, bottom) * over
    to[at + part] = above * (1 - down) + below * down
  }
}
