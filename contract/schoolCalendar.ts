import { object } from 'yup'
import { daysBetween, type ClassDay, type DaysOff } from '../core/calendar'
import { across, day, label, list, uuid, wholeNumber } from './fields'

/** Days without class of the school, or of one of its sections. */
export interface SchoolDaysOff extends DaysOff {
  /** Null for the whole school. */
  readonly sectionId: string | null
}

export interface SchoolCalendar {
  readonly daysOff: readonly SchoolDaysOff[]
}

/** The calendar that stands; version 0 and no days off before anybody said any. */
export interface CalendarVersion {
  readonly version: number
  readonly calendar: SchoolCalendar
  readonly saved: { readonly at: string; readonly by: string } | null
}

/** The body of `PUT /api/school/calendar`. */
export interface CalendarSave {
  readonly baseVersion: number
  readonly calendar: SchoolCalendar
}

export const MOST_DAYS_OFF = 400
/** Longer than the longest summer: it is a slip of the year. */
const MOST_DAYS = 200

/** What is wrong with days off by themselves, and at which of their fields; null where nothing is. */
export function daysOffFault({ from, to }: { readonly from: ClassDay; readonly to: ClassDay }) {
  if (to < from) return { path: 'to', message: 'The last day without class is not before the first' }
  if (daysBetween(from, to) >= MOST_DAYS)
    return { path: 'to', message: `Days without class are at most ${MOST_DAYS} on end: look at the year` }
  return null
}

const daysOff = across(
  object({
    from: day().required('${path} is missing'),
    to: day().required('${path} is missing'),
    name: label(80).label('What the days are free for'),
    sectionId: uuid().nullable().defined('${path} is missing: null for the whole school'),
  })
    .exact()
    .required(),
  daysOffFault,
)

export const calendarSaveSchema = object({
  baseVersion: wholeNumber('the version it was edited from', 0, 1_000_000).required('${path} is missing'),
  calendar: object({
    daysOff: list(daysOff as never, MOST_DAYS_OFF, `At most ${MOST_DAYS_OFF} spans of days without class`),
  })
    .exact()
    .required('${path} is missing'),
}).exact()
