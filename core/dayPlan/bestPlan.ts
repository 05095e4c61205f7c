import type { Solve } from '../integerProgram'
import { baysOf, eachBooth, type Bay } from './bays'
import { greedyPlan } from './greedyPlan'
import { faultsOfLine } from './planConflicts'
import type { PlanCase, PlannedCoupon } from './planCase'
import { placesFor } from './places'
import { planModel } from './planModel'
import { isSameLine, isSameTime, planScore } from './planScore'

export interface BestPlan {
  readonly lines: readonly PlannedCoupon[]
  /** How good it is, and how good a plan made by hand would be. */
  readonly score: number
  readonly byHand: number
  /** No plan is better than this score; null where that is not known. */
  readonly bound: number | null
}

const NAMELESS = () => ''

/** The solver stops where no plan can be better by more than this: three minutes of plain practice in a whole day. */
export const GAP = 0.05

/** What stood before, as far as it still can, and every other place that a coupon may take in some bay. */
export function allPlaces(wanted: PlanCase, before: readonly PlannedCoupon[], bays: readonly Bay[]): PlannedCoupon[] {
  const stood = before.filter(line => faultsOfLine(wanted, line, NAMELESS).length === 0)
  const others = wanted.students.flatMap(student =>
    student.coupons.flatMap(coupon => placesFor(wanted, student, coupon, bays)),
  )
  return [...stood, ...others.filter(line => !stood.some(one => isSameLine(one, line)))]
}

/**
 * The best plan of a day that was found. It is never worse than the one made by hand, which is looked at first. First
 * who welds what when, booths alike told apart no further: no plan is better than that. Then in which booth, with as
 * few moves as can be.
 * @param before the plan that stands in for: its lines are moved only where they can no longer stand
 */
export function bestPlan(wanted: PlanCase, before: readonly PlannedCoupon[], solve: Solve): BestPlan {
  const hand = greedyPlan(wanted, before)
  const byHand = planScore(wanted, hand, before)
  const bays = baysOf(wanted)
  const places = allPlaces(wanted, before, bays)
  if (places.length === 0) return { lines: hand, score: byHand, byHand, bound: byHand }
  const solved = solve(planModel(wanted, places, bays, before, true))
  const inBays = solved ? places.filter((_, n) => solved.of(`x${n}`) > 0.5) : []
  const lines = inBooths(wanted, inBays, before, solve)
  const found = planScore(wanted, lines, before)
  const best = found > byHand ? { lines, score: found } : { lines: hand, score: byHand }
  if (solved?.proved) return { ...best, byHand, bound: Math.max(best.score, solved.value + GAP) }
  // A relaxation that was not solved to its end says nothing of what cannot be.
  const relaxed = solve(planModel(wanted, places, bays, before, false))
  return { ...best, byHand, bound: relaxed?.proved ? relaxed.value : null }
}

/** Lines at their times, each in the booth where it is best; what is left free after that is filled as by hand. */
function inBooths(
  wanted: PlanCase,
  lines: readonly PlannedCoupon[],
  before: readonly PlannedCoupon[],
  solve: Solve,
): PlannedCoupon[] {
  const each = eachBooth(wanted)
  const places = allPlaces(wanted, before, each).filter(place => lines.some(line => isSameTime(line, place)))
  const solved = places.length > 0 ? solve(planModel(wanted, places, each, before, true)) : null
  return greedyPlan(wanted, solved ? places.filter((_, n) => solved.of(`x${n}`) > 0.5) : [])
}

/**
 * By what share of its worth a plan may still be under the best; null where that is not known. What is counted for
 * lines that were kept is no worth.
 */
export function shortOfBest(wanted: PlanCase, { lines, score, bound }: BestPlan): number | null {
  const worth = planScore(wanted, lines)
  return bound === null || worth <= 0 ? null : Math.max(0, (bound - score) / worth)
}
