import { boothLacks } from '../floor'
import type { Bay } from './bays'
import {
  overlaps,
  stepsOf,
  wholeSteps,
  type PlanCase,
  type PlannedCoupon,
  type PlanStudent,
  type WantedCoupon,
} from './planCase'
import { readIn } from './readings'

/** The booths in which a student may run a coupon: all that can do it, the own one first. */
export function boothsFor({ booths }: PlanCase, { booth: own }: PlanStudent, { need }: WantedCoupon): number[] {
  const able = booths.filter(one => boothLacks(one.means, need) === '').map(one => one.booth)
  return own !== null && able.includes(own) ? [own, ...able.filter(booth => booth !== own)] : able
}

/** The moments at which a coupon may begin so that nothing is missed and it is still read; minutes. */
export function startsFor(wanted: PlanCase, coupon: WantedCoupon): number[] {
  const { terms } = wanted
  const minutes = wholeSteps(coupon.minutes, terms)
  return Array.from({ length: stepsOf(wanted) }, (_, step) => step * terms.stepMinutes).filter(
    from =>
      !terms.shown.some(shown => overlaps(shown, { from, minutes })) &&
      readIn(wanted, (from + minutes) / terms.stepMinutes) !== null,
  )
}

/**
 * The places of a coupon, the earliest first: one in each bay that can do it, by the student's own booth where that is
 * of the bay.
 */
export function placesFor(
  wanted: PlanCase,
  student: PlanStudent,
  coupon: WantedCoupon,
  bays: readonly Bay[],
): PlannedCoupon[] {
  const able = boothsFor(wanted, student, coupon)
  const booths = bays.flatMap(bay => able.find(booth => bay.booths.includes(booth)) ?? [])
  const minutes = wholeSteps(coupon.minutes, wanted.terms)
  const { rungId, nth } = coupon
  return startsFor(wanted, coupon).flatMap(from =>
    booths.map(booth => ({ studentId: student.id, rungId, nth, booth, from, minutes, pinned: false })),
  )
}
