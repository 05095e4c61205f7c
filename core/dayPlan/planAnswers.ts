import type { PlanCase, PlannedCoupon, WantedCoupon } from './planCase'
import { minutesWelded } from './planScore'
import { isShowing, readingsInStep, readingsOf } from './readings'

/** What an instructor asks of a plan before it is hung up. */
export interface PlanAnswers {
  /** Each student who is here, with the minutes in a booth, the least first. */
  readonly atWork: readonly { readonly studentId: string; readonly minutes: number }[]
  /** Minutes of the class in which nothing is shown to all: as long as a student can be in a booth. */
  readonly openMinutes: number
  /** Students whose best coupon of the day is not in the plan, though others of theirs may be. */
  readonly passedOver: readonly { readonly studentId: string; readonly coupon: WantedCoupon }[]
  /** Coupons to read, as many as there is time for in the class, and the step in which most fall to be read. */
  readonly toRead: { readonly count: number; readonly most: number; readonly busiest: number; readonly then: number }
}

/**
 * Who is how long at work, who was passed over, and how many coupons fall to be read when.
 * @example planAnswers(wanted, lines).atWork[0] // { studentId: 'ben', minutes: 45 }
 */
export function planAnswers(wanted: PlanCase, lines: readonly PlannedCoupon[]): PlanAnswers {
  const welded = minutesWelded(lines)
  const readings = readingsOf(wanted, lines)
  const open = readings.filter((_, step) => !isShowing(wanted, step)).length
  const then = Math.max(0, ...readings)
  return {
    atWork: wanted.students
      .map(({ id }) => ({ studentId: id, minutes: welded.get(id) ?? 0 }))
      .sort((a, b) => a.minutes - b.minutes),
    openMinutes: open * wanted.terms.stepMinutes,
    passedOver: wanted.students.flatMap(({ id, coupons }) => {
      const best = [...coupons].sort((a, b) => b.worth - a.worth)[0]
      const planned = lines.some(line => line.studentId === id && line.rungId === best?.rungId)
      return best && !planned ? [{ studentId: id, coupon: best }] : []
    }),
    toRead: {
      count: readings.reduce((sum, count) => sum + count, 0),
      most: open * readingsInStep(wanted.terms),
      busiest: Math.max(0, readings.indexOf(then)),
      then,
    },
  }
}
