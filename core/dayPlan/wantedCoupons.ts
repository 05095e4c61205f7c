import type { HouseRules } from '../house'
import type { LadderRung } from '../ladder'
import { couponHours, type Proposal } from '../readiness'
import type { WantedCoupon } from './planCase'
import { rungNeeds } from './rungNeeds'

/** The most rungs that are thought of for one student in a day. */
const RUNGS = 3
/** What the next proposal counts for beside the one before it, and one more coupon of a rung beside the last. */
const NEXT_BEST = 0.8
const ONCE_MORE = 0.7
/** A coupon that raises the odds at the test by five points in an hour counts for two. Our own weight. */
const FOR_ODDS = 20
/** The most times that a rung is run in a day. */
const MOST_TIMES = 4
/** Somewhat more is thought of than a class has time for: what is scarce may be taken. */
const SPARE = 1.3

/**
 * What a coupon is worth in a plan: its hours at work, by its place among the proposals, more for what it brings toward
 * the test, less for each one of that rung before it.
 * @param place 0 for the first proposal
 * @param nth 1 for the first of this rung today
 * @returns hours of plain practice that it counts for
 */
export const worthOf = (rung: Pick<LadderRung, 'piece'>, gainPerHour: number, place: number, nth: number): number =>
  couponHours(rung) * (NEXT_BEST ** place + FOR_ODDS * gainPerHour) * ONCE_MORE ** (nth - 1)

export interface WantedFrom {
  /** What would serve, best first. */
  readonly proposals: readonly Proposal[]
  /** What an instructor wants run next, before anything proposed; null where nothing is pinned. */
  readonly pinned: LadderRung | null
  readonly hand: 'right' | 'left'
  /** Of the class. */
  readonly minutes: number
  /** How long a coupon takes this student, beside the usual time of its rung (`ownPace`). */
  readonly pace: number
  readonly rules: HouseRules
}

/**
 * The coupons that would serve a student today, best first: the rung that is pinned, then those proposed, and again
 * until there is more than the class has time for.
 */
export function wantedCoupons({ proposals, pinned, hand, minutes, pace, rules }: WantedFrom): WantedCoupon[] {
  const rungs = [
    ...(pinned ? [{ rung: pinned, gainPerHour: 0 }] : []),
    ...proposals.filter(one => one.rung.id !== pinned?.id),
  ].slice(0, RUNGS)
  const wanted: WantedCoupon[] = []
  const planned = () => wanted.reduce((sum, coupon) => sum + coupon.minutes, 0)
  for (let nth = 1; nth <= MOST_TIMES && rungs.length > 0 && planned() < SPARE * minutes; nth++)
    rungs.forEach(({ rung, gainPerHour }, place) =>
      wanted.push({
        rungId: rung.id,
        nth,
        name: rung.name,
        minutes: Math.round(60 * couponHours(rung) * pace),
        worth: worthOf(rung, gainPerHour, place, nth),
        piece: rung.piece,
        ...rungNeeds(rung, hand, rules),
      }),
    )
  return wanted.sort((a, b) => b.worth - a.worth)
}
