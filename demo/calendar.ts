import { daysAfter, mondayOf, type ClassDay } from '../core/calendar'
import type { SchoolCalendar } from '../contract/schoolCalendar'

/** The made-up school's days without class: two weeks between the years of its own, and a day on which it is shown. */
export function demoCalendar(lastDay: ClassDay): SchoolCalendar {
  const monday = mondayOf(lastDay)
  const off = (from: number, days: number, name: string) => ({
    from: daysAfter(monday, from),
    to: daysAfter(monday, from + days - 1),
    name,
    sectionId: null,
  })
  return { daysOff: [off(9, 1, 'Open day on the quay'), off(21, 14, 'Winter break')] }
}
