import { planStack, type JointShape, type StackPlan, type StackPlanner } from '../deposit'
import type { HouseRules } from '../house'
import type { PadPosition } from '../trade'
import { inches } from '../units'

/** The rod of an open root and its hot pass, unless the joint's own is cellulosic. Common practice. */
export const OPEN_ROOT_ROD = { classification: 'E6010', diameterMm: inches(1 / 8) } as const

/** A joint, and the rods that fill and root it. Lengths mm. */
export interface StackWanted {
  readonly shape: JointShape
  readonly position: PadPosition
  readonly coreMm: number
  readonly rootCoreMm: number
  /** A fixed pipe is too round for a weave as wide as a plate takes. */
  readonly fixedPipe?: boolean
}

/** How a house fills a joint: its laps, its weave, its cap. */
export function housePlanner({ fixedPipe = false, ...wanted }: StackWanted, rules: HouseRules): StackPlanner {
  return {
    ...wanted,
    stringersOnly: rules.ways.manipulation === 'stringers' || fixedPipe,
    overlap: (rules.overlap.low + rules.overlap.high) / 2,
    stopUnderMm: rules.stopUnderMm,
    capBeyondMm: rules.capBeyondMm,
    reinforcementMm: rules.reinforcementMm,
  }
}

/**
 * The bead stack of a joint as the house fills it: what a coupon, a card and the page of a joint all count by.
 * @throws RangeError when the joint's sizes do not go together
 * @example houseStack({ shape: twelveMillimetreV, position: '1G', coreMm: 3.175, rootCoreMm: 3.175 }, rules).beads
 *   .length // 4
 */
export function houseStack(wanted: StackWanted, rules: HouseRules): StackPlan {
  const planner = housePlanner(wanted, rules)
  const key = JSON.stringify(planner)
  const plan = kept.get(key) ?? planStack(planner)
  kept.delete(key)
  kept.set(key, plan)
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!)
  return plan
}

/**
 * A class runs the same few joints all evening, and a stack takes some milliseconds to plan: the latest asked for are
 * kept. A plan is never changed.
 */
const kept = new Map<string, StackPlan>()
const MOST_KEPT = 64
