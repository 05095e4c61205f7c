/** A point of a section: across the plate and above its surface, mm. */
export interface SectionPoint {
  readonly x: number
  readonly y: number
}

/** A bead in section, closed: along its face from toe to toe, and back along what it lies on. */
export type BeadSection = readonly SectionPoint[]

export interface LappedBeads {
  readonly count: number
  readonly beadMm: number
  readonly stepMm: number
  readonly areaMm2: number
}

/** Sampling across the plate, mm. */
const GRID_MM = 0.25
const HALVINGS = 48

/**
 * A pad in section: each bead spans its width from where it touches plate or bead, and bulges as a parabola until
 * the section between its
 * face and what it lies on is the metal it holds. Nothing is faked: the sections add up to the metal laid.
 * @returns the beads in the order laid, the first with its left toe at x = 0; mm
 * @example padSection({ count: 2, beadMm: 9, stepMm: 5.4, areaMm2: 15 }).length // 2
 */
export function padSection({ count, beadMm, stepMm, areaMm2 }: LappedBeads): BeadSection[] {
  const perBead = Math.max(8, Math.round(beadMm / GRID_MM))
  const grid = beadMm / perBead
  const stride = Math.max(1, Math.round(stepMm / grid))
  const surface = new Float64Array(perBead + stride * (count - 1) + 1)
  return Array.from({ length: count }, (_, index) => layBead(surface, index * stride, perBead, grid, areaMm2))
}

function layBead(surface: Float64Array, from: number, width: number, grid: number, areaMm2: number): BeadSection {
  const under = surface.slice(from, from + width + 1)
  const face = (bulge: number) =>
    Float64Array.from(under, (_, n) => {
      const u = n / width
      return under[0]! * (1 - u) + under[width]! * u + 4 * bulge * u * (1 - u)
    })
  let low = -maxOf(under)
  let high = (3 * areaMm2) / (width * grid) + maxOf(under) * 2
  for (let n = 0; n < HALVINGS; n++) {
    const middle = (low + high) / 2
    if (areaBetween(face(middle), under, grid) < areaMm2) low = middle
    else high = middle
  }
  const top = face(high)
  const points = (heights: Float64Array) => Array.from(heights, (y, n) => ({ x: (from + n) * grid, y }))
  const raised = Float64Array.from(top, (y, n) => Math.max(y, under[n]!))
  surface.set(raised, from)
  return [...points(raised), ...points(under).reverse()]
}

const maxOf = (values: Float64Array) => values.reduce((most, value) => Math.max(most, value), 0)

/** Section between a face and what lies under it, by trapezoids, mm². */
function areaBetween(face: Float64Array, under: Float64Array, grid: number): number {
  let sum = 0
  for (let n = 1; n < face.length; n++)
    sum += (Math.max(0, face[n]! - under[n]!) + Math.max(0, face[n - 1]! - under[n - 1]!)) / 2
  return sum * grid
}
