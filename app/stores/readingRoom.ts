import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import { nextCard, type BeadAnswer } from '~~/core/readingRoom'
import type { BeadAnswerSave } from '~~/contract/readingRoom'
import { request } from './request'

/** The reading room of whoever is here: what was said so far, and what comes next. */
export const useReadingRoom = defineStore('practice', () => {
  const answers = shallowRef<readonly BeadAnswer[]>([])

  async function load(): Promise<void> {
    answers.value = await request<BeadAnswer[]>('GET', '/api/reading-room')
  }

  /** An answer under way keeps its id, so that trying again is the same answer. */
  const id = ref(uuid())

  async function keep(answer: BeadAnswerSave): Promise<void> {
    answers.value = await request<BeadAnswer[]>('PUT', `/api/reading-room/${id.value}`, answer)
    id.value = uuid()
  }

  const ofStudent = (studentId: string) => request<BeadAnswer[]>('GET', `/api/students/${studentId}/reading-room`)

  const next = (now: Date) => nextCard(answers.value, now, new Date(now.getFullYear(), now.getMonth(), now.getDate()))

  return { answers, load, keep, ofStudent, next }
})
