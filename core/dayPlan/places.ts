import { boothLacks } from '../floor'
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

/**
 * The booths that a student may be given for a coupon: the own one where that can do it; where it cannot, or there is
 * none, every booth that can.
 */
export function boothsFor({ booths }: PlanCase, { booth: own }: PlanStudent, { need }: WantedCoupon): number[] {
  const able = booths.filter(one => boothLacks(one.means, need) === '').map(one => one.booth)
  return own !== null && able.includes(own) ? [own] : able
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

/** Every place of a coupon, the earliest first. */
export function placesFor(wanted: PlanCase, student: PlanStudent, coupon: WantedCoupon): PlannedCoupon[] {
  const booths = boothsFor(wanted, student, coupon)
  const minutes = wholeSteps(coupon.minutes, wanted.terms)
  const { rungId, nth } = coupon
  return startsFor(wanted, coupon).flatMap(from =>
    booths.map(booth => ({ studentId: student.id, rungId, nth, booth, from, minutes, pinned: false })),
  )
}
