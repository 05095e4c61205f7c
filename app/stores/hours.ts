import { defineStore } from 'pinia'
import type { HoursWanted } from '~~/core/floor'
import type { StudentHours } from '~~/contract/hours'
import { request } from './request'

/** Hours in the booth and at the arc, and what the programme asks for. */
export const useHours = defineStore('hours', () => {
  const of = (studentId: string) => request<StudentHours>('GET', `/api/students/${studentId}/hours`)
  const programme = async (): Promise<readonly HoursWanted[]> =>
    (await request<{ wanted: HoursWanted[] }>('GET', '/api/school/programme')).wanted
  const ask = (wanted: readonly HoursWanted[]) => request<undefined>('PUT', '/api/school/programme', { wanted })
  return { of, programme, ask }
})
