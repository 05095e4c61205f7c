import type { RodSize } from '../trade'

/** What burns off: the rod, what is left of it, and the bead it makes. Millimetres; `recovery` is deposit over core melted. */
export interface Burn {
  readonly rod: RodSize
  readonly recovery: number
  readonly stubMm: number
  readonly beadAreaMm2: number
}

/**
 * Section of a bead on plate, taken as a parabola: two thirds of width times height. Source: common practice.
 * @param widthMm toe to toe, mm
 * @param heightMm above the plate, mm
 * @returns mm²
 * @example beadArea(9, 2) // 12
 */
export function beadArea(widthMm: number, heightMm: number): number {
  return (2 / 3) * widthMm * heightMm
}

/**
 * Length of bead that one rod lays before it is a stub: metal in the rod over the section of the bead.
 * Source: common practice; check: a 14 in E7018 of 1/8 in lays 9 to 12 in of a quarter-inch stringer.
 * @returns mm
 * @throws RangeError when the stub is longer than the rod or the bead has no section
 * @example runOut({ rod: rodSizeOf(3.175), recovery: 1.05, stubMm: 50.8, beadAreaMm2: 10.08 }) // about 251
 */
export function runOut({ rod, recovery, stubMm, beadAreaMm2 }: Burn): number {
  if (stubMm >= rod.lengthMm) throw new RangeError('The stub is longer than the rod')
  if (!(beadAreaMm2 > 0)) throw new RangeError('A bead has a section of more than 0 mm²')
  const coreArea = (Math.PI / 4) * rod.diameterMm ** 2
  return (coreArea * (rod.lengthMm - stubMm) * recovery) / beadAreaMm2
}

/** Less than this left on a rod is not carried over to a new bead, mm of bead. Source: common practice. */
const LEAST_CARRIED_MM = 12.7

/** A restart this close to either end of a bead would be moved to the end by any welder, mm. Source: common practice. */
const NO_RESTART_WITHIN_MM = 9.5

/**
 * Where restarts fall when beads are laid one after the other, each rod burnt to its stub and carried over to the next bead.
 * @param beadLengthsMm the beads in the order they are laid, mm
 * @param runOutMm bead from a whole rod, mm
 * @param firstMm bead left in the first rod, mm: less than a whole one on a day of stubs
 * @returns for each bead, distances from its start at which a new rod is lit, mm
 * @example predictRestarts([152.4, 152.4], 250) // [[], [97.6]]
 */
export function predictRestarts(beadLengthsMm: readonly number[], runOutMm: number, firstMm = runOutMm): number[][] {
  let left = firstMm
  return beadLengthsMm.map((lengthMm) => {
    if (left < LEAST_CARRIED_MM) left = runOutMm
    const restarts: number[] = []
    let at = 0
    while (at + left < lengthMm - NO_RESTART_WITHIN_MM) {
      at += left
      left = runOutMm
      if (at > NO_RESTART_WITHIN_MM) restarts.push(at)
    }
    left = Math.max(0, left - (lengthMm - at))
    return restarts
  })
}
