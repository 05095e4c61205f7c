import type { HouseRules } from '../house'
import { inches } from '../units'
import { electrodeOf, type PadPosition, type PlateKind, type Polarity, type Travel } from '../trade'
import { settingsCard } from './settingsCard'

/** A rung of the pads, and how it is usually run. */
export interface PadRung {
  readonly name: string
  readonly position: PadPosition
  readonly travel: Travel
  readonly piece: PlateKind
}

/** The drills before and beside the pads. */
const DRILLS: readonly PadRung[] = [
  { name: 'arc strikes', position: '1G', travel: 'left to right', piece: 'arc-strike plate' },
  { name: 'restart strip', position: '1G', travel: 'left to right', piece: 'restart strip' },
]

/** The pads as schools climb them. Source: common practice; the house's order of positions decides between vertical and overhead. */
const PADS: readonly PadRung[] = [
  { name: 'flat pad', position: '1G', travel: 'left to right', piece: 'pad' },
  { name: 'horizontal pad', position: '2G', travel: 'left to right', piece: 'pad' },
  { name: 'vertical pad', position: '3G', travel: 'up', piece: 'pad' },
  { name: 'overhead pad', position: '4G', travel: 'left to right', piece: 'pad' },
]

/**
 * The pads in the house's order.
 * @example padRungs(DEFAULT_HOUSE_RULES)[2].name // 'vertical pad'
 */
export function padRungs({ ways }: HouseRules): readonly PadRung[] {
  return ways.order === '1, 2, 4, 3' ? [PADS[0]!, PADS[1]!, PADS[3]!, PADS[2]!] : PADS
}

/** Every rung a flat plate can be run for: the pads in the house's order, then the drills. */
export const plateRungs = (rules: HouseRules): readonly PadRung[] => [...padRungs(rules), ...DRILLS]

/** What a ticket begins with for a rung when the student has run none of it: the house's first rod, and the card's current. */
export interface RungSettings {
  readonly rung: string
  readonly position: PadPosition
  readonly travel: Travel
  readonly classification: string
  readonly diameterMm: number
  readonly currentA: number
  readonly polarity: Polarity
}

/** DCEP where the rod takes it: most work is run on it. */
function usualPolarity(classification: string): Polarity {
  const { currents } = electrodeOf(classification)
  return currents.includes('DCEP') ? 'DCEP' : currents[0]!
}

/**
 * The settings of a rung from its card.
 * @param hand a left-hander travels right to left, as the first way learned
 * @param thicknessMm plate, mm
 * @param rod what to run it with; the house's first rod when it is not said
 * @example rungSettings(padRungs(rules)[0], 'right', 9.5, rules).currentA // 125
 */
export function rungSettings(rung: PadRung, hand: 'right' | 'left', thicknessMm: number, rules: HouseRules, rod = { classification: rules.ways.firstRod as string, diameterMm: inches(1 / 8) }): RungSettings {
  const travel = hand === 'left' && rung.travel === 'left to right' ? 'right to left' : rung.travel
  const base = { ...rod, position: rung.position, travel, polarity: usualPolarity(rod.classification) }
  const card = settingsCard({ ...base, joint: 'pad', pass: 'bead', thicknessMm, rods: 'new' }, rules)
  return { ...base, rung: rung.name, currentA: card.current.startA }
}
