import { defineStore } from 'pinia'
import type { FloorStudent } from '~~/contract/people'
import { request } from './request'

/** Today's class: the students of a section, each with the newest coupon. */
export const useFloor = defineStore('floor', () => {
  const students = ref<FloorStudent[]>([])
  const sectionId = ref<string | null>(null)

  async function load(id: string): Promise<void> {
    const found = await request<FloorStudent[]>('GET', `/api/sections/${id}/floor`)
    students.value = found
    sectionId.value = id
  }

  /** Whose coupon to read next: whoever has waited longest since the last one was read. */
  const waitingLongest = computed(
    () => [...students.value].sort((a, b) => (a.last?.savedAt ?? '').localeCompare(b.last?.savedAt ?? ''))[0] ?? null,
  )

  return { students, sectionId, load, waitingLongest }
})
