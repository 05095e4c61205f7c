import { defineStore } from 'pinia'
import type { Stray } from '~~/core/readiness'
import { v7 as uuid } from 'uuid'
import type { WelderTest } from '~~/core/welderTest'
import type { ProcessUseSave, SavedWelderTest, TestBay } from '~~/contract/welderTests'
import { request } from './request'

/** The school's tests, and the uses of processes that keep what they qualify alive. */
export const useWelderTests = defineStore('tests', () => {
  const bay = shallowRef<TestBay | null>(null)

  async function load(): Promise<void> {
    bay.value = await request<TestBay>('GET', '/api/tests')
  }
  const ofStudent = (studentId: string) => request<TestBay>('GET', `/api/students/${studentId}/tests`)

  const strays = () => request<Stray[]>('GET', '/api/recalibration')

  const find = (id: string) => request<SavedWelderTest>('GET', `/api/tests/${id}`)

  /** Keeps new tests, each under an id of its own. Answers the ids, in their order. */
  async function plan(planned: readonly WelderTest[]): Promise<string[]> {
    const ids: string[] = []
    for (const welderTest of planned) {
      const id = uuid()
      await request('PUT', `/api/tests/${id}`, { baseVersion: 0, document: welderTest })
      ids.push(id)
    }
    return ids
  }

  const callOff = (id: string, baseVersion: number) => request('POST', `/api/tests/${id}/call-off`, { baseVersion })

  /** One id a use, so that one that is sent twice is one. */
  async function noteUse(id: string, save: ProcessUseSave): Promise<void> {
    await request('PUT', `/api/process-uses/${id}`, save)
    await load()
  }

  return { bay, load, ofStudent, strays, find, plan, callOff, noteUse }
})
