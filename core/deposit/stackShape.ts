import { stepsToCover } from '../units'
import type { StackPlanner } from './stackState'

/** Beads no wider than this many cores, woven and straight. Common practice. */
const WEAVE_CORES = 3.75
const STRINGER_CORES = 3
/** Width of a free bead over its height. Common practice: 1/4 in wide, 3/32 high. */
const FREE_SHAPE = 2.7

/** Widest bead for a position: a weave is held up flat and vertical; overhead and horizontal it sags. */
export function widestBead({ position, coreMm, stringersOnly }: StackPlanner): number {
  const weave = !stringersOnly && (position === '1G' || position === '3G')
  return coreMm * (weave ? WEAVE_CORES : STRINGER_CORES)
}

/** Curve of a free bead of a section, 1/mm: a parabola holds two thirds of its box. */
export const crownOf = (areaMm2: number) => {
  const widthMm = Math.sqrt(1.5 * areaMm2 * FREE_SHAPE)
  return (4 * (widthMm / FREE_SHAPE)) / widthMm ** 2
}

/** Beads that span a width, each lapping the last. */
export function beadsAcross(widthMm: number, beadMm: number, overlap: number): number {
  return Math.max(1, 1 + stepsToCover(widthMm - beadMm, beadMm * (1 - overlap)))
}

/** Aims of beads across a width, first at the left (lower) side: each covers its share of the last. */
export function spread(count: number, widthMm: number, overlap: number): number[] {
  const beadMm = widthMm / (1 + (count - 1) * (1 - overlap))
  return Array.from({ length: count }, (_, n) => -widthMm / 2 + beadMm / 2 + n * beadMm * (1 - overlap))
}
