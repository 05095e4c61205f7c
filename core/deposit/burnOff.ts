import type { RodSize } from '../trade'
import { STEEL_KG_PER_MM3 } from './weldMetal'

/**
 * What burns off: the rod, what is left of it, and the bead it makes. Millimetres; `recovery` is deposit over core
 * melted.
 */
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
  if (!(beadAreaMm2 > 0)) throw new RangeError('A bead has a section of more than 0 mm²')
  return metalOfRod({ rod, recovery, stubMm }) / beadAreaMm2
}

/**
 * Weld metal that one rod gives before it is a stub: core area × (length − stub) × recovery, as a volume.
 * @returns mm³
 * @throws RangeError when the stub is longer than the rod
 */
export function metalOfRod({ rod, recovery, stubMm }: Pick<Burn, 'rod' | 'recovery' | 'stubMm'>): number {
  if (stubMm >= rod.lengthMm) throw new RangeError('The stub is longer than the rod')
  return (Math.PI / 4) * rod.diameterMm ** 2 * (rod.lengthMm - stubMm) * recovery
}

/**
 * Arc time of one rod: the metal in it over the deposition rate. Source: common practice.
 * @param kgPerHour deposition rate at 100 % arc time, kg/h
 * @returns seconds
 * @example rodSeconds({ rod: rodSizeOf(3.175), recovery: 1.05, stubMm: 50.8 }, 1.189) // about 60
 */
export function rodSeconds(burn: Pick<Burn, 'rod' | 'recovery' | 'stubMm'>, kgPerHour: number): number {
  return (metalOfRod(burn) * STEEL_KG_PER_MM3 * 3600) / kgPerHour
}

/**
 * Section of the bead that a deposition rate leaves at a travel speed: deposition / (60 × travel × density).
 * Source: arithmetic.
 * @param kgPerHour kg/h at 100 % arc time
 * @param travelMmPerMin mm/min
 * @returns mm²
 * @example depositedArea(1.17, 152.4) // 16.3: 0.0253 in² at 6 in/min
 */
export function depositedArea(kgPerHour: number, travelMmPerMin: number): number {
  return kgPerHour / (60 * travelMmPerMin * STEEL_KG_PER_MM3)
}

/**
 * The speed that leaves a section at a deposition rate: `depositedArea` the other way round.
 * @param areaMm2 section of the bead, mm²
 * @returns mm/min
 * @example travelThatLays(1.17, 16.3) // 152.4: 6 in/min
 */
export function travelThatLays(kgPerHour: number, areaMm2: number): number {
  return kgPerHour / (60 * areaMm2 * STEEL_KG_PER_MM3)
}

/**
 * Share of a rod that is thrown away with its stub.
 * @param lengthMm whole rod, mm
 * @param stubMm what is left, mm
 * @example stubLoss(355.6, 50.8) // 0.143
 */
export function stubLoss(lengthMm: number, stubMm: number): number {
  if (!(stubMm >= 0 && stubMm < lengthMm)) throw new RangeError('The stub is shorter than the rod')
  return stubMm / lengthMm
}

/** Less than this left on a rod is not carried over to a new bead, mm of bead. Source: common practice. */
const LEAST_CARRIED_MM = 12.7
/**
 * A restart this close to either end of a bead would be moved to the end by any welder, mm. Source: common
 * practice.
 */
const NO_RESTART_WITHIN_MM = 9.5

/** Rods burnt along a set of beads. Lengths are mm of bead. */
export interface RodsBurnt {
  /** For each bead, distances from its start at which a new rod is lit. */
  readonly restarts: readonly (readonly number[])[]
  readonly rods: number
  /** Bead still in the last rod. */
  readonly leftMm: number
  /** Bead thrown away in rods that were not worth carrying on with. */
  readonly droppedMm: number
  /** Bead laid by stretching a rod past its end so that no restart falls on the very end of a bead. */
  readonly stretchedMm: number
}

/**
 * Where restarts fall when beads are laid one after the other, each rod burnt to its stub and carried over to the
 * next bead.
 * What is laid is what was in the rods: rods × run-out + stretched = beads + left + dropped (for whole rods).
 * @param beadLengthsMm the beads in the order they are laid, mm
 * @param runOutMm bead from a whole rod, mm
 * @param firstMm bead left in the first rod, mm: less than a whole one on a day of stubs
 * @throws RangeError when a rod lays nothing
 * @example burnRods([152.4, 152.4], 250).restarts // [[], [97.6]]
 */
export function burnRods(beadLengthsMm: readonly number[], runOutMm: number, firstMm = runOutMm): RodsBurnt {
  if (!(runOutMm > 0)) throw new RangeError('A rod lays more than 0 mm')
  let left = firstMm
  let rods = 1
  let droppedMm = 0
  let stretchedMm = 0
  const light = () => {
    droppedMm += left
    left = runOutMm
    rods += 1
  }
  const restarts = beadLengthsMm.map(lengthMm => {
    if (left < LEAST_CARRIED_MM) light()
    const places: number[] = []
    let at = 0
    while (at + left < lengthMm - NO_RESTART_WITHIN_MM) {
      at += left
      left = 0
      light()
      if (at > NO_RESTART_WITHIN_MM) places.push(at)
    }
    const rest = lengthMm - at
    stretchedMm += Math.max(0, rest - left)
    left = Math.max(0, left - rest)
    return places
  })
  return { restarts, rods, leftMm: left, droppedMm, stretchedMm }
}
