import type { Ladder } from '../ladder'
import { couponHours } from '../readiness'
import { quantile } from '../statistics'

/** What was run on a class day, a rung's id for each coupon. */
interface DayRun {
  readonly rungs: readonly string[]
}

/** A student's own class days count as much as the usual pace after this number of them. Common practice. */
const OWN_DAYS = 2
/**
 * A pace further off than this comes of other things than the hand: days half missed, or coupons that were not read.
 */
const [QUICKEST, SLOWEST] = [0.75, 1.5]

/**
 * How long a coupon takes this student, beside the usual time of its rung: by what filled a class in the middle of the
 * last ones.
 * @param lately the last class days; days on which nothing was run are none
 * @param minutes of a class
 * @example ownPace([], FULL_LADDER, 180) // 1: nothing is known yet
 */
export function ownPace(lately: readonly DayRun[], ladder: Ladder, minutes: number): number {
  const hours = new Map(ladder.rungs.map(rung => [rung.id, couponHours(rung)]))
  const days = lately
    .map(({ rungs }) => rungs.reduce((sum, id) => sum + 60 * (hours.get(id) ?? 0), 0))
    .filter(reckoned => reckoned > 0)
  if (days.length === 0) return 1
  const own = minutes / quantile(days, 0.5)
  const pace = own ** (days.length / (days.length + OWN_DAYS))
  return Math.min(SLOWEST, Math.max(QUICKEST, pace))
}
