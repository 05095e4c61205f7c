import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import type {
  Board,
  LadderSave,
  LadderVersion,
  PinSave,
  SectionReport,
  SignOffSave,
  StudentProgress,
} from '~~/contract/progress'
import { request } from './request'

/** Where students stand on the ladder, and the ladder itself. */
export const useProgress = defineStore('progress', () => {
  const boardOf = (sectionId: string) => request<Board>('GET', `/api/sections/${sectionId}/board`)
  const reportOf = (sectionId: string) => request<SectionReport>('GET', `/api/sections/${sectionId}/report`)
  const ofStudent = (studentId: string) => request<StudentProgress>('GET', `/api/students/${studentId}/progress`)

  /** One id a rung, so that a sign-off that is sent twice is one. */
  const ids = new Map<string, string>()
  async function signOff(save: SignOffSave): Promise<StudentProgress> {
    const key = `${save.studentId} ${save.rungId}`
    const id = ids.get(key) ?? uuid()
    ids.set(key, id)
    const after = await request<StudentProgress>('PUT', `/api/sign-offs/${id}`, save)
    ids.delete(key)
    return after
  }
  const takeBack = (signOffId: string, why: string) => request('POST', `/api/sign-offs/${signOffId}/take-back`, { why })

  const pin = (studentId: string, save: PinSave) =>
    request<StudentProgress>('PUT', `/api/students/${studentId}/pin`, save)

  const ladder = () => request<LadderVersion>('GET', '/api/ladder')
  const saveLadder = (save: LadderSave) => request<LadderVersion>('POST', '/api/ladder', save)

  return { boardOf, reportOf, ofStudent, signOff, takeBack, pin, ladder, saveLadder }
})
