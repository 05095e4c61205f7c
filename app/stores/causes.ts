import { defineStore } from 'pinia'
import type { CausesSaid, ToldInSchool } from '~~/contract/causes'
import type { CauseCounts, Known } from '~~/core/diagnosis'
import { request } from './request'

const NONE: CausesSaid = { school: {}, said: {}, made: {}, reset: null }

/** What instructors said was the cause: the odds of the Bench adapt to it. Without the server they are as shipped. */
export const useCauses = defineStore('causes', () => {
  const said = shallowRef<CausesSaid>(NONE)
  const ofStudents = shallowRef<Readonly<Record<string, CauseCounts>>>({})

  async function load(): Promise<void> {
    said.value = await request<CausesSaid>('GET', '/api/causes')
  }

  /** What was said of one student's coupons. */
  async function loadStudent(studentId: string): Promise<void> {
    const counts = await request<CauseCounts>('GET', `/api/students/${studentId}/causes`)
    ofStudents.value = { ...ofStudents.value, [studentId]: counts }
  }

  /** What came of what was told, over the whole school. */
  const told = () => request<ToldInSchool>('GET', '/api/causes/told')

  /** Begins to count anew, for the whole school. */
  async function reset(why: string): Promise<void> {
    said.value = await request<CausesSaid>('POST', '/api/causes/reset', { why })
    ofStudents.value = {}
  }

  const knownOf = (studentId: string): Known => ({
    school: said.value.school,
    student: ofStudents.value[studentId] ?? {},
  })

  return { said, load, loadStudent, told, reset, knownOf }
})
