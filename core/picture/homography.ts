import { Matrix, SVD } from 'ml-matrix'
import type { Point } from './plane'

/** A 3 × 3 matrix by rows that takes points of one plane to another, seen in perspective. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number]

/** Moves points about their middle, and to a mean distance of √2 from it: so that no coordinate outweighs another. */
function normaliser(points: readonly Point[]): Matrix {
  const mx = points.reduce((sum, { x }) => sum + x, 0) / points.length
  const my = points.reduce((sum, { y }) => sum + y, 0) / points.length
  const away = points.reduce((sum, { x, y }) => sum + Math.hypot(x - mx, y - my), 0) / points.length
  if (!(away > 0)) throw new RangeError('The points of a homography lie all in one place')
  const scale = Math.SQRT2 / away
  return new Matrix([
    [scale, 0, -scale * mx],
    [0, scale, -scale * my],
    [0, 0, 1],
  ])
}

const moved = (by: Matrix, { x, y }: Point): Point => ({
  x: by.get(0, 0) * x + by.get(0, 2),
  y: by.get(1, 1) * y + by.get(1, 2),
})

/**
 * The homography that takes points to others, by the normalised direct linear transformation: exact for four, the
 * least algebraic error for more. Source: Hartley and Zisserman, Multiple View Geometry, algorithm 4.2.
 * @param from four points or more, no three on a line, in any unit
 * @param to as many points
 * @throws RangeError for fewer than four, for lists of two lengths, and for points that all lie in one place
 * @example mapPoint(homographyOf(corners, rectangle), corners[2]) // rectangle[2]
 */
export function homographyOf(from: readonly Point[], to: readonly Point[]): Homography {
  if (from.length < 4 || from.length !== to.length)
    throw new RangeError('A homography needs four points or more, and as many for them to lie on')
  const [one, other] = [normaliser(from), normaliser(to)]
  const rows = from.flatMap((point, n) => {
    const { x, y } = moved(one, point)
    const { x: u, y: v } = moved(other, to[n]!)
    return [
      [-x, -y, -1, 0, 0, 0, u * x, u * y, u],
      [0, 0, 0, -x, -y, -1, v * x, v * y, v],
    ]
  })
  // A ninth row of noughts keeps the singular value that is none among nine.
  const { rightSingularVectors, diagonal } = new SVD(new Matrix([...rows, Array<number>(9).fill(0)]))
  const least = diagonal.indexOf(Math.min(...diagonal))
  const h = rightSingularVectors.getColumn(least)
  const plain = inverse3(other)
    .mmul(new Matrix([h.slice(0, 3), h.slice(3, 6), h.slice(6, 9)]))
    .mmul(one)
  const last = plain.get(2, 2)
  const scale = Math.abs(last) > 1e-12 ? last : 1
  return plain.to1DArray().map(value => value / scale) as unknown as Homography
}

/** A normaliser undone. */
const inverse3 = (by: Matrix): Matrix =>
  new Matrix([
    [1 / by.get(0, 0), 0, -by.get(0, 2) / by.get(0, 0)],
    [0, 1 / by.get(1, 1), -by.get(1, 2) / by.get(1, 1)],
    [0, 0, 1],
  ])

/** A point seen through a homography, in the unit of the plane it leads to. */
export function mapPoint([a, b, c, d, e, f, g, h, i]: Homography, { x, y }: Point): Point {
  const w = g * x + h * y + i
  return { x: (a * x + b * y + c) / w, y: (d * x + e * y + f) / w }
}
