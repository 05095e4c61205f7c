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
import type { StudentPace } from '~~/contract/pace'
import type { Sent } from '~/sync/intents'
import { useOutbox } from './outbox'
import { request } from './request'

const isOfRung = (save: SignOffSave, studentId: string, rungId: string) =>
  save.studentId === studentId && save.rungId === rungId

/** Where students stand on the ladder, and the ladder itself. */
export const useProgress = defineStore('progress', () => {
  const outbox = useOutbox()
  const boardOf = (sectionId: string) => request<Board>('GET', `/api/sections/${sectionId}/board`)
  const reportOf = (sectionId: string) => request<SectionReport>('GET', `/api/sections/${sectionId}/report`)
  const ofStudent = (studentId: string) => request<StudentProgress>('GET', `/api/students/${studentId}/progress`)

  const paceOf = (studentId: string) => request<StudentPace>('GET', `/api/students/${studentId}/pace`)

  /** Signs a rung off, or keeps the sign-off here while the server is away; sent twice it is one. */
  function signOff(save: SignOffSave, student: string, rung: string): Promise<Sent<StudentProgress>> {
    const waits = outbox.mine.find(
      ({ kind, body }) => kind === 'sign-off' && isOfRung(body as SignOffSave, save.studentId, save.rungId),
    )
    const id = waits?.id ?? uuid()
    return outbox.send<StudentProgress>({ kind: 'sign-off', id, body: save, student, about: `${rung} signed off` })
  }
  const takeBack = (signOffId: string, why: string) => request('POST', `/api/sign-offs/${signOffId}/take-back`, { why })

  const pin = (studentId: string, save: PinSave) =>
    request<StudentProgress>('PUT', `/api/students/${studentId}/pin`, save)

  const ladder = () => request<LadderVersion>('GET', '/api/ladder')
  const saveLadder = (save: LadderSave) => request<LadderVersion>('POST', '/api/ladder', save)

  return { boardOf, reportOf, ofStudent, paceOf, signOff, takeBack, pin, ladder, saveLadder }
})
