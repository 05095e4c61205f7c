import { defineStore } from 'pinia'
import type { CalendarVersion, SchoolCalendar } from '~~/contract/schoolCalendar'
import { request } from './request'

/** The school's days without class. */
export const useSchoolCalendar = defineStore('schoolCalendar', () => {
  const kept = shallowRef<CalendarVersion>({ version: 0, calendar: { daysOff: [] }, saved: null })

  async function load(): Promise<void> {
    kept.value = await request<CalendarVersion>('GET', '/api/school/calendar')
  }
  /** @throws RequestFailure with the field that is wrong, or 409 where another person changed it meanwhile */
  async function save(baseVersion: number, calendar: SchoolCalendar): Promise<void> {
    kept.value = await request<CalendarVersion>('PUT', '/api/school/calendar', { baseVersion, calendar })
  }

  return { kept, load, save }
})
