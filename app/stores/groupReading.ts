import { useSessionStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { runAgain, runAgainBy, type CouponDocument, type RunAgain } from '~~/core/coupon'
import type { FloorStudent } from '~~/contract/people'

/** A group as it stands: how many it had, who is left, and the settings of the coupon that was read last. */
interface Group {
  readonly of: number
  readonly left: readonly string[]
  readonly like: RunAgain | null
}

const NOBODY: Group = { of: 0, left: [], like: null }

/** Several coupons of one table, read one after the other: the ticket of each goes on to the next. */
export const useGroupReading = defineStore('groupReading', () => {
  const group = useSessionStorage<Group>('fusilis.group', NOBODY)
  /** Whether a student's coupon is one of the table that is read. */
  const has = (studentId: string) => group.value.left.includes(studentId)
  /** Which of them is read now, from 1. */
  const place = computed(() => group.value.of - group.value.left.length + 1)

  function begin(ids: readonly string[]): void {
    group.value = { of: ids.length, left: ids, like: null }
  }
  function end(): void {
    group.value = NOBODY
  }

  /** Whose coupon is read next; null where there is no group, or it has been read. */
  const next = (students: readonly FloorStudent[]): FloorStudent | null =>
    group.value.left.map(id => students.find(one => one.id === id)).find(one => one !== undefined) ?? null

  /** A student with the settings of the coupon before, where the student is of the group. */
  const alike = (student: FloorStudent): FloorStudent => {
    const { like } = group.value
    if (!like || !has(student.id)) return student
    return { ...student, last: { ...student.last!, ...runAgainBy(like, student) } }
  }

  /** A coupon was read. True where the group has been read with it. */
  function wasRead(coupon: CouponDocument): boolean {
    const { of, left } = group.value
    if (!has(coupon.studentId)) return false
    const still = left.filter(id => id !== coupon.studentId)
    group.value = still.length === 0 ? NOBODY : { of, left: still, like: runAgain(coupon) }
    return still.length === 0
  }

  return { has, place, size: computed(() => group.value.of), begin, end, next, alike, wasRead }
})
