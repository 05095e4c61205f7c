import type { HouseRules } from '../house'
import { inches } from '../units'
import { electrodeOf, positionOf, runAs, type PieceKind, type Polarity, type PositionId, type Travel } from '../trade'
import { settingsCard } from './settingsCard'

/** A rung of the ladder, and how it is usually run. */
export interface Rung {
  readonly name: string
  readonly position: PositionId
  readonly travel: Travel
  readonly piece: PieceKind
  /** A groove with an open root. */
  readonly open: boolean
}

const rung = (name: string, position: PositionId, piece: PieceKind = 'pad', open = false): Rung => ({
  name,
  position,
  piece,
  open,
  travel: positionOf(position).travel[0]!,
})

/** The drills before and beside the pads. */
const DRILLS: readonly Rung[] = [
  rung('arc strikes', '1G', 'arc-strike plate'),
  rung('restart strip', '1G', 'restart strip'),
]

/**
 * The pads as schools climb them. Source: common practice; the house's order of positions decides between vertical
 * and overhead.
 */
const PADS: readonly Rung[] = [
  rung('flat pad', '1G'),
  rung('horizontal pad', '2G'),
  rung('vertical pad', '3G'),
  rung('overhead pad', '4G'),
]

/** Joints, fillets, grooves and pipe after the pads. Source: common practice. */
const JOINTS_AND_PIPE: readonly Rung[] = [
  rung('square butt', '1G', 'square butt'),
  rung('lap 2F', '2F', 'lap'),
  rung('outside corner', '1G', 'outside corner'),
  rung('edge', '1G', 'edge'),
  rung('T fillet 1F', '1F', 'T'),
  rung('T fillet 2F', '2F', 'T'),
  rung('T fillet 3F', '3F', 'T'),
  rung('T fillet 4F', '4F', 'T'),
  ...(['1G', '2G', '3G', '4G'] as const).map(position => rung(`V with backing ${position}`, position, 'plate groove')),
  ...(['1G', '2G', '3G', '4G'] as const).map(position => rung(`open root ${position}`, position, 'plate groove', true)),
  rung('pipe to plate 2F', '2F', 'pipe to plate'),
  rung('pipe saddle 2F', '2F', 'saddle'),
  ...(['1G', '2G', '5G', '6G', '6GR'] as const).map(position => rung(`pipe ${position}`, position, 'pipe butt', true)),
]

/**
 * The pads in the house's order.
 * @example padRungs(DEFAULT_HOUSE_RULES)[2].name // 'vertical pad'
 */
export function padRungs({ ways }: HouseRules): readonly Rung[] {
  return ways.order === 'overhead first' ? [PADS[0]!, PADS[1]!, PADS[3]!, PADS[2]!] : PADS
}

/** Every rung that is known by name: the pads in the house's order, the drills, then joints, grooves and pipe. */
export const knownRungs = (rules: HouseRules): readonly Rung[] => [...padRungs(rules), ...DRILLS, ...JOINTS_AND_PIPE]

/**
 * What a ticket begins with for a rung when the student has run none of it: the house's first rod, and the card's
 * current.
 */
export interface RungSettings {
  readonly rung: string
  readonly position: PositionId
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
export function rungSettings(
  rung: Rung,
  hand: 'right' | 'left',
  thicknessMm: number,
  rules: HouseRules,
  rod = { classification: rules.ways.firstRod as string, diameterMm: inches(1 / 8) },
): RungSettings {
  const travel = hand === 'left' && rung.travel === 'left to right' ? 'right to left' : rung.travel
  const base = { ...rod, position: rung.position, travel, polarity: usualPolarity(rod.classification) }
  const card = settingsCard(
    { ...base, position: runAs(rung.position), joint: 'pad', pass: 'bead', thicknessMm, rods: 'new' },
    rules,
  )
  return { ...base, rung: rung.name, currentA: card.current.startA }
}
