import type { HouseRules } from '../house'
import { readTwice, type CouponReadTwice } from './readTwice'
import { fitCurves, type SchoolCurves } from './standing'
import { withHistory, type Tried } from './trials'

/** What curves are fitted to: what each student tried, oldest first, and the coupons that two people read. */
export interface SchoolReadings {
  readonly students: readonly (readonly Tried[])[]
  readonly twice: readonly CouponReadTwice[]
  readonly rules: HouseRules
}

/** The curves of all elements of a school. It takes seconds of one core for a large one. */
export const fitSchool = ({ students, twice, rules }: SchoolReadings): SchoolCurves =>
  fitCurves(
    students.map(withHistory),
    twice.flatMap(coupon => readTwice(coupon, rules)),
  )
