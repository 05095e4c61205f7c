import type { SectionPoint } from './padSection'

/** A surface across a joint: heights sampled at even steps from the left, mm. */
export interface Surface {
  readonly gridMm: number
  readonly leftMm: number
  readonly height: Float64Array
}

/** A bead in section: where it was aimed, how far it reaches, and its outline. */
export interface LaidBead {
  readonly aimMm: number
  readonly fromMm: number
  readonly toMm: number
  readonly topMm: number
  readonly outline: readonly SectionPoint[]
  readonly areaMm2: number
}

const MOST_STEPS = 60
/** A bead holds its metal to within this share. */
const EXACT = 1e-7
/**
 * A bead that wets a valley between two walls lies flatter than one that stands free; one wall is in between.
 * Common practice.
 */
const FLATTER = { free: 1, oneWall: 0.6, valley: 0.25 } as const

/**
 * Lays a bead on a surface: a parabola about its aim, cut by each surface it touches, raised until the section between
 * it and the surface is the
 * metal it holds. It lies flatter where it wets walls.
 * @param crown curve of a free bead, 1/mm: height over half-width squared
 * @returns the bead, and the surface with it on
 * @throws RangeError when the aim lies off the surface or the bead holds nothing
 * @example layBead(flatSurface, 0, 12, 0.1).bead.areaMm2 // 12
 */
export function layBead(
  surface: Surface,
  aimMm: number,
  areaMm2: number,
  crown: number,
): { readonly bead: LaidBead; readonly surface: Surface } {
  const { gridMm, leftMm, height } = surface
  const middle = Math.round((aimMm - leftMm) / gridMm)
  if (!(middle > 0 && middle < height.length - 1)) throw new RangeError('The aim lies off the joint')
  if (!(areaMm2 > 0)) throw new RangeError('A bead holds more than 0 mm²')
  const free = settle(height, middle, areaMm2, crown, gridMm)
  const flatter = crown * FLATTER[standing(height, free, gridMm)]
  const lying = flatter === crown ? free : settle(height, middle, areaMm2, flatter, gridMm)
  const raised = height.slice()
  const at = (n: number) => leftMm + n * gridMm
  const face: SectionPoint[] = []
  const under: SectionPoint[] = []
  for (let n = lying.from; n <= lying.to; n++) {
    under.push({ x: at(n), y: height[n]! })
    raised[n] = Math.max(height[n]!, lying.top - flatter * ((n - middle) * gridMm) ** 2)
    face.push({ x: at(n), y: raised[n]! })
  }
  return {
    bead: {
      aimMm,
      fromMm: at(lying.from),
      toMm: at(lying.to),
      topMm: Math.max(...face.map(point => point.y)),
      outline: [...face, ...under.reverse()],
      areaMm2,
    },
    surface: { gridMm, leftMm, height: raised },
  }
}

interface Settled {
  readonly top: number
  readonly from: number
  readonly to: number
}

/**
 * The height of a parabola's top at which it holds an area over the surface, within the valley of its middle.
 * The area grows steadily with the height: the Illinois form of false position finds it in a few steps (Dowell and
 * Jarratt 1971).
 */
function settle(height: Float64Array, middle: number, areaMm2: number, crown: number, gridMm: number): Settled {
  const short = (top: number) => held(height, middle, top, crown, gridMm).areaMm2 - areaMm2
  let low = height[middle]!
  let high = low + Math.sqrt(areaMm2)
  let offLow = -areaMm2
  let offHigh = short(high)
  while (offHigh < 0) {
    low = high
    offLow = offHigh
    high += Math.sqrt(areaMm2)
    offHigh = short(high)
  }
  let top = high
  for (let n = 0; n < MOST_STEPS; n++) {
    top = (low * offHigh - high * offLow) / (offHigh - offLow)
    const off = short(top)
    if (Math.abs(off) < EXACT * areaMm2) break
    if (off > 0) {
      high = top
      offHigh = off
      offLow /= 2
    } else {
      low = top
      offLow = off
      offHigh /= 2
    }
  }
  const { from, to } = held(height, middle, top, crown, gridMm)
  return { top, from, to }
}

function held(
  height: Float64Array,
  middle: number,
  top: number,
  crown: number,
  gridMm: number,
): { areaMm2: number; from: number; to: number } {
  const over = (n: number) => top - crown * ((n - middle) * gridMm) ** 2 - height[n]!
  let from = middle
  let to = middle
  let areaMm2 = Math.max(0, over(middle)) * gridMm
  while (from > 0 && over(from - 1) > 0) areaMm2 += over(--from) * gridMm
  while (to < height.length - 1 && over(to + 1) > 0) areaMm2 += over(++to) * gridMm
  return { areaMm2, from, to }
}

/**
 * How a bead stands: free, against one wall, or in a valley. A wall rises away from the bead at more than about 20
 * degrees.
 */
function standing(height: Float64Array, { from, to }: Settled, gridMm: number): keyof typeof FLATTER {
  const WALL = 0.36
  const reach = Math.max(2, Math.round(0.8 / gridMm))
  const rise = (n: number, step: number) =>
    ((height[Math.min(height.length - 1, Math.max(0, n + step))] ?? 0) - height[n]!) / (Math.abs(step) * gridMm)
  const walls = Number(rise(from, -reach) > WALL) + Number(rise(to, reach) > WALL)
  return walls === 2 ? 'valley' : walls === 1 ? 'oneWall' : 'free'
}
