import { defineStore } from 'pinia'
import type { CouponPage, CouponSummary, FirstAndLatest, StudentRecord } from '~~/contract/record'
import { request } from './request'

export interface CouponFilters {
  position: string | null
  rodFamily: string | null
  verdict: string | null
}

/** One student's record, with coupons a page at a time. */
export const useRecord = defineStore('record', () => {
  const record = ref<StudentRecord | null>(null)
  const coupons = ref<CouponSummary[]>([])
  const next = ref<string | null>(null)

  async function load(studentId: string): Promise<void> {
    if (record.value?.student.id !== studentId) {
      record.value = null
      coupons.value = []
    }
    record.value = await request<StudentRecord>('GET', `/api/students/${studentId}/record`)
  }

  /** Loads the first page for these filters, or with `more` the page after the ones shown. */
  /** Of answers that overlap, the last that was asked for stands, in any order they come. */
  let latest = 0
  async function loadCoupons(studentId: string, filters: CouponFilters, more = false): Promise<void> {
    const asked = new URLSearchParams()
    for (const [name, value] of Object.entries({ ...filters, after: more ? next.value : null }))
      if (value) asked.set(name, value)
    const own = ++latest
    const page = await request<CouponPage>('GET', `/api/students/${studentId}/coupons?${asked}`)
    if (own !== latest) return
    coupons.value = more ? [...coupons.value, ...page.coupons] : [...page.coupons]
    next.value = page.next
  }

  /** The first and the latest coupon of a rung; of the one run last where none is named. */
  const firstAndLatest = (studentId: string, rung = '') =>
    request<FirstAndLatest>(
      'GET',
      `/api/students/${studentId}/first-and-latest${rung ? `?${new URLSearchParams({ rung })}` : ''}`,
    )

  return { record, coupons, next, load, loadCoupons, firstAndLatest }
})
