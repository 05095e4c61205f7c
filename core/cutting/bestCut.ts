import type { Solve } from '../integerProgram'
import { cutModel } from './cutModel'
import type { CutOrder } from './cutOrder'
import { planByHand, planOf, type CutPlan } from './cutPlan'
import { patternsOf, type CutPattern } from './patterns'

export interface BestCut {
  readonly plan: CutPlan
  /** The fewest bars that any plan begins; null where that is not known. */
  readonly fewest: number | null
  /** What cutting the longest first by hand would begin; null where that does not come out. */
  readonly byHand: number | null
}

/**
 * The fewest bars for an order. It is never worse than a plan by hand.
 * @param solve the solver of integer programs: HiGHS
 * @returns null where there is not enough to cut from
 */
export function bestCut(order: CutOrder, solve: Solve): BestCut | null {
  const hand = planByHand(order)
  const { patterns, all } = patternsOf(order)
  const plan = better(hand, planBy(order, patterns, solve))
  if (!plan) return null
  return { plan, fewest: all ? fewestBars(order, patterns, solve) : null, byHand: hand?.begun ?? null }
}

function planBy(order: CutOrder, patterns: readonly CutPattern[], solve: Solve): CutPlan | null {
  const solved = patterns.length > 0 ? solve(cutModel(order, patterns, true)) : null
  if (!solved) return null
  const times = patterns.map((_, k) => Math.round(solved.of(`x${k}`)))
  // A solver whose time was up may have nothing whole yet.
  const enough = order.pieces.every(
    ({ count }, n) => patterns.reduce((sum, pattern, k) => sum + times[k]! * pattern.counts[n]!, 0) >= count,
  )
  return enough ? planOf(order, patterns, times) : null
}

/** The one that takes less length of new bars, then of all; a plan by hand where they are alike. */
function better(hand: CutPlan | null, found: CutPlan | null): CutPlan | null {
  if (!hand || !found) return found ?? hand
  const taken = (plan: CutPlan) => plan.bars.reduce((sum, bar) => sum + bar.lengthMm, 0) - plan.keptMm
  return found.begun < hand.begun || (found.begun === hand.begun && taken(found) < taken(hand)) ? found : hand
}

/**
 * So few bars no plan can be under, where all new bars are of one length: what the relaxation takes, in whole bars.
 * Where offcuts or several lengths mix, it is not said.
 */
function fewestBars(order: CutOrder, patterns: readonly CutPattern[], solve: Solve): number | null {
  const [only, ...rest] = order.stock
  if (!only || rest.length > 0 || only.count !== null) return null
  const relaxed = solve(cutModel(order, patterns, false))
  const ROUNDING = 1e-6
  return relaxed?.proved ? Math.ceil(relaxed.value / only.lengthMm - ROUNDING) : null
}
