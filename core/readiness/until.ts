import { dayOffOn, daysAfter, weekdayName, type ClassDay, type ClassWeek } from '../calendar'
import type { Work } from '../trade'
import type { Forecast } from './forecast'
import { classesFor, hoursFor, type Pace } from './pace'

/** When a section meets: days of the week, days off among them, and its last day. */
export interface Timetable extends ClassWeek {
  readonly last: ClassDay
}

/**
 * The class day on which a number of classes more is over; null when the term ends before, or the section never meets.
 * @param from local date that is already past, ISO 8601
 * @example classDayAfter(2, { weekdays: ['Mon', 'Wed'], daysOff: [], last: '2026-12-18' }, '2026-10-05')
 *   // '2026-10-12': Wednesday and Monday
 */
export function classDayAfter(
  classes: number,
  { weekdays, daysOff, last }: Timetable,
  from: ClassDay,
): ClassDay | null {
  if (weekdays.length === 0) return null
  let left = Math.max(1, classes)
  for (let day = daysAfter(from, 1); day <= last; day = daysAfter(day, 1))
    if (weekdays.includes(weekdayName(day)) && !dayOffOn(daysOff, day) && --left <= 0) return day
  return null
}

/** From the least to the most; null for a most that is beyond what anybody looks ahead. */
export interface FromTo {
  readonly least: number
  readonly most: number | null
}

/** Hours and days that a number of coupons takes. */
export interface UntilThen {
  /** In the booth. */
  readonly hours: FromTo
  /** Coupons like these that a class brings. */
  readonly perClass: number
  /** The first and the last class day on which it may come; null where that is not in this term. */
  readonly first: ClassDay | null
  readonly last: ClassDay | null
}

/** What lies between today and the odds wanted, as the quicker and the slower of the students whom evidence allows. */
export interface Until {
  readonly coupons: FromTo
  /** Null where nothing was run of late: the pace is not known. */
  readonly then: UntilThen | null
}

/** Of five, the quickest and the slowest are left out. */
const FOUR_OF_FIVE = 0.84

/** Which coupons they are, when the section meets, and the day that is already past. */
export interface UntilWanted {
  readonly work: Work
  readonly timetable: Timetable
  readonly today: ClassDay
}

/**
 * Coupons, hours and days until the odds wanted.
 * @returns null where it is there already, or is hardly to be had by more of the same
 */
export function untilTarget({ early, late, likely }: Forecast, pace: Pace | null, wanted: UntilWanted): Until | null {
  if (likely === 0 || early === null) return null
  return { coupons: { least: early, most: late }, then: pace && untilThen({ early, late }, pace, wanted) }
}

function untilThen(
  { early, late }: { readonly early: number; readonly late: number | null },
  pace: Pace,
  { work, timetable, today }: UntilWanted,
): UntilThen {
  const dayOf = (classes: number | null) => (classes === null ? null : classDayAfter(classes, timetable, today))
  const quick = { coupons: early, work }
  const slow = late === null ? null : { coupons: late, work }
  return {
    hours: { least: hoursFor(pace, quick, -FOUR_OF_FIVE), most: slow && hoursFor(pace, slow, FOUR_OF_FIVE) },
    perClass: pace.mean / pace.here[work].hours,
    first: dayOf(classesFor(pace, quick, -FOUR_OF_FIVE)),
    last: dayOf(slow && classesFor(pace, slow, FOUR_OF_FIVE)),
  }
}
