import { defineStore } from 'pinia'
import type { CausesSaid } from '~~/contract/causes'
import type { Known } from '~~/core/diagnosis'
import { request } from './request'

const NONE: CausesSaid = { school: {}, students: {}, reset: null }

/** What instructors said was the cause: the odds of the Bench adapt to it. Without the server they are as shipped. */
export const useCauses = defineStore('causes', () => {
  const said = shallowRef<CausesSaid>(NONE)

  async function load(): Promise<void> {
    said.value = await request<CausesSaid>('GET', '/api/causes')
  }

  /** Begins to count anew, for the whole school. */
  async function reset(why: string): Promise<void> {
    said.value = await request<CausesSaid>('POST', '/api/causes/reset', { why })
  }

  const knownOf = (studentId: string): Known => ({
    school: said.value.school,
    student: said.value.students[studentId] ?? {},
  })

  return { said, load, reset, knownOf }
})
