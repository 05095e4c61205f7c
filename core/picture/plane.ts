/** A point of a plane: pixels of a picture, or millimetres of a strip. */
export interface Point {
  readonly x: number
  readonly y: number
}

/** Four corners, round in one direction. */
export type Corners = readonly [Point, Point, Point, Point]

/** Twice the signed area of a triangle: over 0 where the corner turns clockwise on a screen. */
export const turnOf = (a: Point, b: Point, c: Point): number => (b.x - a.x) * (c.y - b.y) - (b.y - a.y) * (c.x - b.x)

/** Whether four corners go round as the hands of a clock do, on a screen whose y grows downward. */
export const goesClockwise = (corners: Corners): boolean =>
  corners.reduce((area, { x, y }, n) => {
    const next = corners[(n + 1) % 4]!
    return area + x * next.y - next.x * y
  }, 0) > 0

/** A corner of a coupon is nearer to straight than this only where the wrong place was tapped, sine of the angle. */
const LEAST_SINE = Math.sin(Math.PI / 9)

/**
 * Why four corners cannot be those of a coupon; null where they can.
 * @param size of the picture, px
 * @param smallest shortest edge that tells anything, px
 * @example cornersTrouble([upperLeft, lowerRight, upperRight, lowerLeft], { widthPx: 900, heightPx: 900 })
 *   // 'Two edges cross: …'
 */
export function cornersTrouble(
  corners: Corners,
  size: { readonly widthPx: number; readonly heightPx: number },
  smallest = 40,
): string | null {
  if (corners.some(({ x, y }) => !(x >= 0 && y >= 0 && x <= size.widthPx && y <= size.heightPx)))
    return 'A corner lies outside the picture: move it onto the coupon’s own corner.'
  const edges = corners.map((corner, n) => {
    const next = corners[(n + 1) % 4]!
    return Math.hypot(next.x - corner.x, next.y - corner.y)
  })
  if (edges.some(edge => edge < smallest))
    return 'Two corners lie on each other: each belongs on another corner of the coupon.'
  const sines = corners.map((corner, n) => {
    const next = corners[(n + 1) % 4]!
    return turnOf(corners[(n + 3) % 4]!, corner, next) / (edges[(n + 3) % 4]! * edges[n]!)
  })
  if (!sines.every(sine => sine > 0) && !sines.every(sine => sine < 0))
    return 'Two edges cross: set the corners in the order of their letters, round the coupon.'
  if (sines.some(sine => Math.abs(sine) < LEAST_SINE))
    return 'Three corners lie almost on a line: hold the camera squarer to the coupon, or move a corner.'
  return null
}
