import { inches } from '../units'
import { homographyOf, mapPoint, type Homography } from './homography'
import type { Pixels } from './layPicture'
import { turnOf, type Corners, type Point } from './plane'

/**
 * A printed card whose targets are found on a picture by themselves: it gives the scale of the plane it lies in. A
 * target is a black ring about a black dot; the share of their areas and their common middle stay what they are from
 * whatever side a camera looks.
 */
export const SCALE_CARD = {
  widthMm: inches(3.6),
  heightMm: inches(2.6),
  /** Diameters of a target, mm. */
  ringMm: 12,
  ringInsideMm: 7.5,
  dotMm: 3.6,
  /** Middles of the targets, mm from the upper left one: the corners round, and one a quarter along the upper edge. */
  targets: [
    { x: 0, y: 0 },
    { x: inches(3), y: 0 },
    { x: inches(3), y: inches(2) },
    { x: 0, y: inches(2) },
    { x: inches(3 / 4), y: 0 },
  ],
} as const

/** A scale card on a picture. */
export interface ScaleCardSeen {
  /** Takes a point of the picture, px, to the plane of the card, mm. */
  readonly toMm: Homography
  /** How far its targets lie from where the card has them, root mean square, mm. */
  readonly strayMm: number
}

/** A dark spot of a picture: its middle, px, and how large it is. */
interface Spot extends Point {
  readonly area: number
  readonly wide: number
  readonly high: number
}

/** The least of a dot that is looked for, px of area. */
const LEAST_DOT = 12
/** Dark is a pixel under this share of what lies about it, within this share of the picture's longest side. */
const DARK = 0.72
const ABOUT = 1 / 24
/** Areas of a ring and its dot, and how far from that a picture may show them. */
const RING_IN_DOTS = (SCALE_CARD.ringMm ** 2 - SCALE_CARD.ringInsideMm ** 2) / SCALE_CARD.dotMm ** 2
const AREA_SLACK = 1.5
const SIZE_IN_DOTS = SCALE_CARD.ringMm / SCALE_CARD.dotMm
const SIZE_SLACK = 1.35
/** A ring's middle lies on its dot's, within this share of the ring's size. */
const OFF_MIDDLE = 0.08
/** More targets than this are clutter. */
const MOST_TARGETS = 9
/** The fifth target may lie so far from where the other four put it, mm. */
const MOST_STRAY_MM = 0.8

/**
 * Finds a scale card on a picture.
 * @returns null where none is seen whole
 */
export function findScaleCard(picture: Pixels): ScaleCardSeen | null {
  const targets = targetsOf(darkSpots(picture))
  if (targets.length < 5 || targets.length > MOST_TARGETS) return null
  let best: ScaleCardSeen | null = null
  for (const five of choices(targets, 5)) {
    const card = asCard(five)
    if (card && (best === null || card.strayMm < best.strayMm)) best = card
  }
  return best
}

/** Five targets as a card, where they can be one. */
function asCard(five: readonly Point[]): ScaleCardSeen | null {
  let best: ScaleCardSeen | null = null
  for (const [first, second, between] of ordered(five, 3)) {
    const rest = five.filter(point => point !== first && point !== second && point !== between)
    // Round the card as it is printed: a picture is no mirror image.
    const [one, other] = [rest[0]!, rest[1]!]
    if (!isBetween(first!, between!, second!)) continue
    const [third, fourth] = isConvex([first!, second!, one, other]) ? [one, other] : [other, one]
    if (!isConvex([first!, second!, third, fourth])) continue
    const seen = [first!, second!, third, fourth, between!]
    const toMm = homographyOf(seen.slice(0, 4), SCALE_CARD.targets.slice(0, 4))
    if (away(mapPoint(toMm, between!), SCALE_CARD.targets[4]) > MOST_STRAY_MM) continue
    const fitted = homographyOf(seen, SCALE_CARD.targets)
    const squares = seen.map((point, n) => away(mapPoint(fitted, point), SCALE_CARD.targets[n]!) ** 2)
    const strayMm = Math.sqrt(squares.reduce((sum, square) => sum + square, 0) / squares.length)
    if (best === null || strayMm < best.strayMm) best = { toMm: fitted, strayMm }
  }
  return best
}

const away = (one: Point, other: Point) => Math.hypot(one.x - other.x, one.y - other.y)
const isConvex = (corners: Corners) =>
  corners.every((corner, n) => turnOf(corners[(n + 3) % 4]!, corner, corners[(n + 1) % 4]!) > 0)
const isBetween = (one: Point, middle: Point, other: Point) => {
  const long = away(one, other)
  return (
    away(one, middle) < long && away(other, middle) < long && Math.abs(turnOf(one, middle, other)) < 0.06 * long ** 2
  )
}

function* choices<T>(of: readonly T[], count: number, from = 0): Generator<readonly T[]> {
  if (count === 0) yield []
  else
    for (let n = from; n <= of.length - count; n++)
      for (const rest of choices(of, count - 1, n + 1)) yield [of[n]!, ...rest]
}
function* ordered<T>(of: readonly T[], count: number): Generator<readonly T[]> {
  if (count === 0) yield []
  else
    for (const one of of)
      for (const rest of ordered(
        of.filter(other => other !== one),
        count - 1,
      ))
        yield [one, ...rest]
}

/** Rings about dots: the middle of each dot. */
function targetsOf(spots: readonly Spot[]): Point[] {
  const near = (value: number, wanted: number, slack: number) => value < wanted * slack && value > wanted / slack
  const round = spots.filter(spot => spot.wide < 3 * spot.high && spot.high < 3 * spot.wide)
  return round.flatMap(dot => {
    const ring = round.find(
      spot =>
        near(spot.area / dot.area, RING_IN_DOTS, AREA_SLACK) &&
        near(spot.wide / dot.wide, SIZE_IN_DOTS, SIZE_SLACK) &&
        near(spot.high / dot.high, SIZE_IN_DOTS, SIZE_SLACK) &&
        Math.hypot((spot.x - dot.x) / spot.wide, (spot.y - dot.y) / spot.high) < OFF_MIDDLE,
    )
    // The ring is larger, and its middle is known better; both are of one place.
    return ring ? [{ x: (dot.x + ring.x) / 2, y: (dot.y + ring.y) / 2 }] : []
  })
}

/** Spots darker than what lies about them, by the pixels that touch. */
function darkSpots(picture: Pixels): Spot[] {
  const { width, height } = picture
  const dark = darkPixels(picture)
  const label = new Int32Array(width * height)
  const spots: Spot[] = []
  const stack: number[] = []
  for (let start = 0; start < dark.length; start++) {
    if (!dark[start] || label[start]) continue
    let [area, sumX, sumY] = [0, 0, 0]
    let [left, right, top, bottom] = [width, 0, height, 0]
    stack.push(start)
    label[start] = 1
    while (stack.length > 0) {
      const at = stack.pop()!
      const [x, y] = [at % width, Math.floor(at / width)]
      area++
      sumX += x + 0.5
      sumY += y + 0.5
      if (x < left) left = x
      if (x > right) right = x
      if (y < top) top = y
      if (y > bottom) bottom = y
      const visit = (next: number) => {
        if (dark[next] && !label[next]) {
          label[next] = 1
          stack.push(next)
        }
      }
      if (x > 0) visit(at - 1)
      if (x < width - 1) visit(at + 1)
      if (y > 0) visit(at - width)
      if (y < height - 1) visit(at + width)
    }
    if (area >= LEAST_DOT)
      spots.push({ x: sumX / area, y: sumY / area, area, wide: right - left + 1, high: bottom - top + 1 })
  }
  return spots
}

/** Which pixels are dark against their neighbourhood, 1 or 0; by summed areas. */
function darkPixels({ data, width, height }: Pixels): Uint8Array {
  const sums = new Float64Array((width + 1) * (height + 1))
  const luma = new Float32Array(width * height)
  for (let y = 0; y < height; y++) {
    let row = 0
    for (let x = 0; x < width; x++) {
      const at = 4 * (y * width + x)
      // Luma of ITU-R BT.601.
      const value = 0.299 * data[at]! + 0.587 * data[at + 1]! + 0.114 * data[at + 2]!
      luma[y * width + x] = value
      row += value
      sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1]! + row
    }
  }
  const reach = Math.max(8, Math.round(ABOUT * Math.max(width, height)))
  const dark = new Uint8Array(width * height)
  for (let y = 0; y < height; y++) {
    const [top, bottom] = [Math.max(0, y - reach), Math.min(height, y + reach + 1)]
    for (let x = 0; x < width; x++) {
      const [left, right] = [Math.max(0, x - reach), Math.min(width, x + reach + 1)]
      const sum =
        sums[bottom * (width + 1) + right]! -
        sums[top * (width + 1) + right]! -
        sums[bottom * (width + 1) + left]! +
        sums[top * (width + 1) + left]!
      dark[y * width + x] = luma[y * width + x]! < (DARK * sum) / ((bottom - top) * (right - left)) ? 1 : 0
    }
  }
  return dark
}

/** Where the corners of a piece lie by the card, and how long its upper edge is. */
export interface LaidByCard {
  readonly corners: Corners
  /** From corner A to corner B as the card has it, mm. */
  readonly longMm: number
}

/**
 * The corners of a coupon from two of them, by a scale card that lies in the plane of its steel: the edge from A to B
 * gives where it lies and which way, the card how far its other edge is.
 * @param ends corners A and B, px
 * @param acrossMm width of the steel, mm
 * @param clockwise whether the corners go round as on a piece that lies; false for one that stands
 * @throws RangeError where both ends are one place
 */
export function cornersByCard(
  { toMm }: ScaleCardSeen,
  [a, b]: readonly [Point, Point],
  acrossMm: number,
  clockwise: boolean,
): LaidByCard {
  const [from, to] = [mapPoint(toMm, a), mapPoint(toMm, b)]
  const longMm = away(from, to)
  if (!(longMm > 0)) throw new RangeError('Corners A and B of a coupon lie in one place')
  const side = (clockwise ? acrossMm : -acrossMm) / longMm
  const across = { x: -(to.y - from.y) * side, y: (to.x - from.x) * side }
  const toPx = inverse(toMm)
  const at = (end: Point) => mapPoint(toPx, { x: end.x + across.x, y: end.y + across.y })
  return { corners: [a, b, at(to), at(from)], longMm }
}

/** A homography back: its adjugate, since its scale is of no account. */
const inverse = ([a, b, c, d, e, f, g, h, i]: Homography): Homography => [
  e * i - f * h,
  c * h - b * i,
  b * f - c * e,
  f * g - d * i,
  a * i - c * g,
  c * d - a * f,
  d * h - e * g,
  b * g - a * h,
  a * e - b * d,
]
