import { stepsToCover } from '../units'
import type { RodSize } from '../trade'
import { electrodeOf } from '../trade'
import { burnRods, depositedArea, rodSeconds, runOut } from './burnOff'
import { depositionRate, type DepositionRate } from './depositionRate'
import { heatInput, type HeatInput } from './heatInput'
import { weldWeight } from './weldMetal'

/**
 * Beads that cover a pad from edge to edge: n = 1 + ceil((W − w) / (w (1 − o))). Source: common practice.
 * @param coverMm width to cover, mm
 * @param beadMm bead width, mm
 * @param overlap share of the last bead covered, 0 to under 1
 * @throws RangeError when a bead has no width or the overlap leaves no step
 * @example beadsToCover(101.6, 9.525, 0.4) // 18
 */
export function beadsToCover(coverMm: number, beadMm: number, overlap: number): number {
  if (!(beadMm > 0)) throw new RangeError('A bead is wider than 0 mm')
  if (!(overlap >= 0 && overlap < 1)) throw new RangeError('Overlap is a share from 0 to under 1')
  return 1 + Math.max(0, stepsToCover(coverMm - beadMm, beadMm * (1 - overlap)))
}

/** A pad to be welded: beads along its length, lapped across its width. Lengths mm, travel mm/min, overlap a share. */
export interface PadJob {
  readonly lengthMm: number
  readonly widthMm: number
  readonly beadMm: number
  readonly overlap: number
  readonly classification: string
  readonly rod: RodSize
  readonly currentA: number
  readonly volts: number
  readonly travelMmPerMin: number
  readonly stubMm: number
}

export interface PadPlan {
  readonly beads: number
  /** From one bead's line to the next, mm. */
  readonly stepMm: number
  readonly beadAreaMm2: number
  /** Height of one bead of that section alone on the plate, mm. */
  readonly beadHeightMm: number
  /** Bead from one rod, mm, and its arc time, s. */
  readonly runOutMm: number
  readonly rodSeconds: number
  /** For each bead, distances from its start at which a new rod is lit, mm. */
  readonly restarts: readonly (readonly number[])[]
  readonly restartCount: number
  readonly rods: number
  /** How long the last rod still is, mm. */
  readonly lastRodMm: number
  readonly arcSeconds: number
  readonly heat: HeatInput
  /** Weld metal laid, and rods' core metal thrown away as stubs, kg. */
  readonly weightKg: number
  readonly stubsKg: number
  readonly rate: DepositionRate
}

/**
 * Plans a pad: how many beads cover it, how many rods they burn and where, how long the arc burns, and what it weighs.
 * The metal laid is the metal burnt off the rods; the section of a bead follows from deposition and travel. Source:
 * arithmetic over makers' data.
 * @throws RangeError that names what is out of range
 * @example planPad(job).beads // 26 for 4 in at 1/4 in beads lapped 40 %
 */
export function planPad(job: PadJob): PadPlan {
  const { lengthMm, beadMm, overlap, rod, travelMmPerMin, stubMm } = job
  if (!(lengthMm > 0 && job.widthMm > 0)) throw new RangeError('The plate is longer and wider than 0')
  const heat = heatInput(job.volts, job.currentA, travelMmPerMin)
  const rate = depositionRate(job.classification, rod.diameterMm, job.currentA)
  const burn = { rod, stubMm, recovery: electrodeOf(job.classification).recovery }
  const beads = beadsToCover(job.widthMm, beadMm, overlap)
  const beadAreaMm2 = depositedArea(rate.kgPerHour, travelMmPerMin)
  const runOutMm = runOut({ ...burn, beadAreaMm2 })
  const burnt = burnRods(
    Array.from({ length: beads }, () => lengthMm),
    runOutMm,
  )
  const usable = rod.lengthMm - stubMm
  return {
    beads,
    stepMm: beadMm * (1 - overlap),
    beadAreaMm2,
    beadHeightMm: beadAreaMm2 / ((2 / 3) * beadMm),
    runOutMm,
    rodSeconds: rodSeconds(burn, rate.kgPerHour),
    restarts: burnt.restarts,
    restartCount: burnt.restarts.reduce((sum, places) => sum + places.length, 0),
    rods: burnt.rods,
    lastRodMm: stubMm + (burnt.leftMm / runOutMm) * usable,
    arcSeconds: ((beads * lengthMm) / travelMmPerMin) * 60,
    heat,
    weightKg: weldWeight(beadAreaMm2, beads * lengthMm),
    stubsKg: weldWeight((Math.PI / 4) * rod.diameterMm ** 2, (burnt.rods - 1) * stubMm),
    rate,
  }
}
