import type { Between, HouseRules } from '../house'
import { electrodeOf, type PadPosition } from '../trade'

/** An arc of this many cores or fewer is a very tight one. Common practice. */
const VERY_TIGHT_CORES = 0.5

/** What arc force depends on: the rod and where it is run. */
export interface ArcForceCase {
  readonly classification: string
  readonly position: PadPosition
}

/**
 * Where arc force is set for a rod and position: mid-scale; higher where the arc is held very tight, overhead or by the
 * house's rule; a cellulosic rod, pushed into the keyhole, may have any of both.
 * Source: common practice; all three ranges are house rules.
 * @returns percent of the machine's scale, within what the house's machines can be set to
 * @example arcForceWindow({ classification: 'E7018', position: '4G' }, rules) // { low: 70, high: 100 }
 */
export function arcForceWindow({ classification, position }: ArcForceCase, rules: HouseRules): Between {
  const { arcForcePercent: usual, arcForceTightPercent: tight, arcForceScale: scale } = rules
  const within = (percent: number) => Math.min(Math.max(percent, scale.low), scale.high)
  const isTight = position === '4G' || rules.arcCores <= VERY_TIGHT_CORES
  const isCellulosic = electrodeOf(classification).family === 'cellulosic'
  return {
    low: within(isTight && !isCellulosic ? tight.low : usual.low),
    high: within(isTight || isCellulosic ? tight.high : usual.high),
  }
}
