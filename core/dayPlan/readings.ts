import { stepsOf, type PlanCase, type PlannedCoupon } from './planCase'

/** The share of a step that is left for reading: the rest is walking, and what was not foreseen. Common practice. */
const READING_SHARE = 0.8

/** How many coupons can be read in one step. */
export const readingsInStep = ({ stepMinutes, readMinutes }: PlanCase['terms']): number =>
  Math.max(1, Math.floor((READING_SHARE * stepMinutes) / readMinutes))

/** Whether something is shown to all in a step. */
export const isShowing = ({ terms }: Pick<PlanCase, 'terms'>, step: number): boolean =>
  terms.shown.some(
    ({ from, minutes }) => from < (step + 1) * terms.stepMinutes && from + minutes > step * terms.stepMinutes,
  )

/**
 * The step in which a coupon is read: the first in which nothing is shown after it was welded.
 * @param ends the step that begins when the coupon is done
 * @returns null where the class ends before
 */
export function readIn(wanted: Pick<PlanCase, 'minutes' | 'terms'>, ends: number): number | null {
  for (let step = ends; step < stepsOf(wanted); step++) if (!isShowing(wanted, step)) return step
  return null
}

/** How many coupons of a plan fall to be read in each step of the class. */
export function readingsOf(wanted: PlanCase, lines: readonly PlannedCoupon[]): number[] {
  const readings = Array.from({ length: stepsOf(wanted) }, () => 0)
  for (const { from, minutes } of lines) {
    const step = readIn(wanted, Math.ceil((from + minutes) / wanted.terms.stepMinutes))
    if (step !== null) readings[step]!++
  }
  return readings
}
