import { openDay } from './openDay'
import { eachBooth } from './bays'
import { placesFor } from './places'
import type { PlanCase, PlannedCoupon, PlanStudent } from './planCase'

/**
 * A plan as it is made by hand: what stood before stays where it still can, pinned lines first; then everybody in turn
 * gets the best that is left in the first place that is free, the student with most to gain first, until nothing fits.
 */
export function greedyPlan(wanted: PlanCase, before: readonly PlannedCoupon[] = []): PlannedCoupon[] {
  const day = openDay(wanted)
  const booths = eachBooth(wanted)
  for (const line of [...before].sort((a, b) => Number(b.pinned) - Number(a.pinned))) if (day.fits(line)) day.put(line)
  const leftOf = ({ id, coupons }: PlanStudent) =>
    coupons.filter(({ rungId, nth }) => !day.has({ studentId: id, rungId, nth })).sort((a, b) => b.worth - a.worth)
  const worthLeft = (student: PlanStudent) => leftOf(student)[0]?.worth ?? 0
  const turn = (student: PlanStudent): boolean => {
    for (const coupon of leftOf(student)) {
      const place = placesFor(wanted, student, coupon, booths).find(day.fits)
      if (place) return (day.put(place), true)
    }
    return false
  }
  let going = [...wanted.students]
  while (going.length > 0) going = going.sort((a, b) => worthLeft(b) - worthLeft(a)).filter(turn)
  return [...day.lines]
}
