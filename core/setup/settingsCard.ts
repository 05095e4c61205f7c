import type { Between, HouseRules } from '../house'
import { depositionRate, heatInput, rodSeconds, runOut, travelThatLays, type DepositionRate } from '../deposit'
import { cautionsFor, electrodeOf, positionOf, rodSizeOf, type Caution, type Polarity } from '../trade'
import { arcForceWindow } from './arcForce'
import { arcVolts, type ArcVolts } from './arcVolts'
import { cautionTopics } from './cautionTopics'
import { checkTicket, type TicketRemark } from './checkTicket'
import { beadTarget, designation, type BeadTarget } from './joint'
import type { SetUpCase } from './setUpCase'
import { rodsForPlate } from './plateFit'
import { rodAngles, type RodAngles } from './rodAngles'
import { startCurrent, type StartCurrent } from './startCurrent'
import { houseWays, watchFor } from './watch'

/** Everything an instructor says before the arc is lit. Lengths mm, speeds mm/min, currents A. */
export interface SettingsCard {
  /** `2G horizontal, pad`. */
  readonly title: string
  readonly current: StartCurrent
  readonly polarity: Polarity
  readonly polarityWhy: string
  readonly arcForcePercent: Between
  readonly longestArcMm: number
  readonly volts: ArcVolts
  readonly angles: RodAngles
  readonly bead: BeadTarget
  /** Core diameters that suit the plate, mm. */
  readonly rodsForPlate: { readonly lowMm: number; readonly highMm: number }
  readonly travelMmPerMin: number
  /** From one rod at the start current. */
  readonly runOutMm: number
  readonly rodSeconds: number
  /** What travel, run-out and time of a rod are worked from; it says when the start lies beyond the table. */
  readonly rate: DepositionRate
  readonly heatKjPerMm: number
  readonly watch: readonly string[]
  readonly ways: readonly string[]
  readonly cautions: readonly Caution[]
  /** What does not fit, if the case is a poor one. */
  readonly remarks: readonly TicketRemark[]
}

/**
 * Length of bead from one rod at a current, when travel is held at the card's speed: more current lays a bigger
 * bead and burns the rod sooner.
 * @returns mm
 * @throws RangeError for a rod or size that is not kept
 * @example rodRun({ ...flatPad }, 125, rules) // about 251
 */
export function rodRun(wanted: SetUpCase, currentA: number, rules: HouseRules): number {
  const { classification, diameterMm } = wanted
  const target = beadTarget({ ...wanted, coreMm: diameterMm }, rules)
  const rateAt = (amperes: number) => depositionRate(classification, diameterMm, amperes).kgPerHour
  const speed = travelThatLays(rateAt(startCurrent(wanted, rules).startA), target.areaMm2)
  const seconds = rodSeconds(burnOf(wanted, rules), rateAt(currentA))
  return (speed * seconds) / 60
}

const burnOf = ({ classification, diameterMm }: SetUpCase, rules: HouseRules) => ({
  rod: rodSizeOf(diameterMm),
  recovery: electrodeOf(classification).recovery,
  stubMm: rules.stubMm,
})

/**
 * The card for a rod, position and joint.
 * @throws RangeError for a rod or size that is not kept
 * @example settingsCard(flatPad, DEFAULT_HOUSE_RULES).current.startA // 125
 */
export function settingsCard(wanted: SetUpCase, rules: HouseRules): SettingsCard {
  const { classification, diameterMm, position, joint, pass } = wanted
  const current = startCurrent(wanted, rules)
  const bead = beadTarget({ ...wanted, coreMm: diameterMm }, rules)
  const volts = arcVolts(classification, current.startA)
  const burn = burnOf(wanted, rules)
  const rate = depositionRate(classification, diameterMm, current.startA)
  const travelMmPerMin = travelThatLays(rate.kgPerHour, bead.areaMm2)
  return {
    title: `${designation(position, joint)} ${positionOf(position).name}, ${joint}${pass === 'bead' ? '' : `, ${pass}`}`,
    current,
    polarity: wanted.polarity,
    polarityWhy: polarityWhy(wanted),
    arcForcePercent: arcForceWindow(wanted, rules),
    longestArcMm: rules.arcCores * diameterMm,
    volts,
    angles: rodAngles(wanted, rules),
    bead,
    rodsForPlate: rodsForPlate(wanted.thicknessMm),
    travelMmPerMin,
    runOutMm: runOut({ ...burn, beadAreaMm2: bead.areaMm2 }),
    rodSeconds: rodSeconds(burn, rate.kgPerHour),
    rate,
    heatKjPerMm: heatInput(volts.middle, current.startA, travelMmPerMin).kjPerMm,
    watch: watchFor(wanted, rules),
    ways: houseWays(wanted, rules),
    cautions: cautionsFor(cautionTopics(wanted, rules)),
    remarks: checkTicket({ ...wanted, currentA: current.startA }, wanted.thicknessMm, rules),
  }
}

function polarityWhy({ classification, polarity }: SetUpCase): string {
  const { currents } = electrodeOf(classification)
  if (!currents.includes(polarity)) return `${classification} runs on ${currents.join(' or ')}`
  if (polarity === 'DCEP') return 'electrode positive: deeper'
  if (polarity === 'DCEN') return 'electrode negative: shallower, for thin sheet'
  return 'where arc blow wins on DC'
}
