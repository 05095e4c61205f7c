import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import { nextCard, type BeadAnswer } from '~~/core/readingRoom'
import type { BeadAnswerSave } from '~~/contract/readingRoom'
import { todayBegan } from '~/composables/shopClock'
import { useOutbox } from './outbox'
import { request } from './request'

/** The reading room of the reader who is here: what was said so far, and what comes next. */
export const useReadingRoom = defineStore('practice', () => {
  const outbox = useOutbox()
  const answers = shallowRef<readonly BeadAnswer[]>([])

  async function load(): Promise<void> {
    answers.value = await request<BeadAnswer[]>('GET', '/api/reading-room')
  }

  /** Keeps an answer; while the server is away it waits here, and practice goes on with it. */
  async function keep(answer: BeadAnswerSave, reader: string, now: Date): Promise<void> {
    const made = { kind: 'bead answer', id: uuid(), body: answer, student: reader, about: 'a bead read' } as const
    const sent = await outbox.send<BeadAnswer[]>(made)
    answers.value = sent.is === 'saved' ? sent.answer : [...answers.value, { ...answer, at: now.toISOString() }]
  }

  const ofStudent = (studentId: string) => request<BeadAnswer[]>('GET', `/api/students/${studentId}/reading-room`)

  const next = (now: Date) => nextCard(answers.value, now, todayBegan(now))

  return { answers, load, keep, ofStudent, next }
})
