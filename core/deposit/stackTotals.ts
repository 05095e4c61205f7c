import { electrodeOf, type RodSize } from '../trade'
import { burnRods, metalOfRod, travelThatLays } from './burnOff'
import { depositionRate } from './depositionRate'
import { heatInput } from './heatInput'
import type { LaidBead } from './layBead'
import { weldWeight } from './weldMetal'

/** What a set of beads burns. Length and stub mm, current A. */
export interface StackJob {
  readonly lengthMm: number
  readonly classification: string
  readonly rod: RodSize
  readonly currentA: number
  readonly volts: number
  readonly stubMm: number
}

export interface StackTotals {
  readonly weightKg: number
  readonly rods: number
  readonly restarts: number
  readonly arcSeconds: number
  /** Coolest and hottest bead, kJ/mm of arc energy. */
  readonly heatKjPerMm: readonly [least: number, most: number]
}

/**
 * Rods, restarts, arc time, weight and heat of beads along a joint. Each bead is begun with what the last left in
 * the rod.
 * @returns zeros for no beads
 * @throws RangeError that names what is out of range
 * @example stackTotals(planStack(v12).beads, job).rods // 11 for 8 in of 12 mm plate
 */
export function stackTotals(
  beads: readonly Pick<LaidBead, 'areaMm2'>[],
  { lengthMm, classification, rod, currentA, volts, stubMm }: StackJob,
): StackTotals {
  if (!(lengthMm > 0)) throw new RangeError('The joint is longer than 0')
  if (beads.length === 0) return { weightKg: 0, rods: 0, restarts: 0, arcSeconds: 0, heatKjPerMm: [0, 0] }
  const metal = metalOfRod({ rod, stubMm, recovery: electrodeOf(classification).recovery })
  const rate = depositionRate(classification, rod.diameterMm, currentA)
  const areaMm2 = beads.reduce((sum, bead) => sum + bead.areaMm2, 0)
  const weightKg = weldWeight(areaMm2, lengthMm)
  // Rods are counted in the metal they hold: a bead of twice the section is twice as long in it.
  const { restarts, rods } = burnRods(
    beads.map(bead => (bead.areaMm2 * lengthMm * beads.length) / areaMm2),
    (metal * beads.length) / areaMm2,
  )
  const heats = beads.map(bead => heatInput(volts, currentA, travelThatLays(rate.kgPerHour, bead.areaMm2)).kjPerMm)
  return {
    weightKg,
    rods,
    restarts: restarts.flat().length,
    arcSeconds: (weightKg / rate.kgPerHour) * 3600,
    heatKjPerMm: [Math.min(...heats), Math.max(...heats)],
  }
}
