import type { DaysOff } from '../../core/calendar'
import type { CalendarVersion, SchoolCalendar } from '../../contract/schoolCalendar'
import { keepVersion, newestVersion, SCHOOL_CALENDAR, type KeptVersion } from './versioned'

const toCalendar = ({ version, content, saved }: KeptVersion<SchoolCalendar>): CalendarVersion => ({
  version,
  calendar: content,
  saved: { at: saved.at, by: saved.by },
})

/** The school's days without class. */
export async function currentCalendar(): Promise<CalendarVersion> {
  const kept = await newestVersion<SchoolCalendar>(SCHOOL_CALENDAR)
  return kept ? toCalendar(kept) : { version: 0, calendar: { daysOff: [] }, saved: null }
}

/** Keeps the calendar as it was edited; null when a newer one is kept already. */
export async function keepCalendar(
  baseVersion: number,
  calendar: SchoolCalendar,
  by: { readonly name: string; readonly now: Date },
): Promise<CalendarVersion | null> {
  const saver = { by: by.name, why: 'edited', now: by.now }
  const kept = await keepVersion<SchoolCalendar>(SCHOOL_CALENDAR, { baseVersion, content: calendar }, saver)
  return kept ? toCalendar(kept) : null
}

/** The days on which a section has no class: the school's, and its own. */
export async function daysOffOf(): Promise<(sectionId: string) => DaysOff[]> {
  const { calendar } = await currentCalendar()
  return id =>
    calendar.daysOff
      .filter(({ sectionId }) => sectionId === null || sectionId === id)
      .map(({ from, to, name }) => ({ from, to, name }))
}
