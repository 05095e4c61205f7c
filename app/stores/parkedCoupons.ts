import { defineStore } from 'pinia'
import type { CouponDocument, Place } from '~~/core/coupon'

/** Which coupon lies on the bench, and whose. */
export interface OpenCoupon {
  readonly id: string
  readonly baseVersion: number
  readonly student: { readonly id: string; readonly name: string }
  /** What the last joint's fit-up asks of this one, degrees. */
  readonly presetDegrees?: number | null
  /** The test that it is the coupon of: there it goes back to when it is saved. */
  readonly testId?: string
}

/** A coupon as the browser keeps it, marked or not. */
export interface CouponDraft extends OpenCoupon {
  readonly touched: boolean
  readonly document: CouponDocument
}

/** The steps back and forward of a coupon; they live as long as the page. */
export interface Steps {
  readonly past: readonly CouponDocument[]
  readonly future: readonly CouponDocument[]
}

/** A coupon that was begun and waits beside the bench, where it was left. */
export interface ParkedCoupon extends CouponDraft {
  /** When it was put aside, ISO 8601. */
  readonly parkedAt: string
  readonly cursor: Place
}

const keyOf = (accountId: string) => `fusilis.parked.${accountId}`

/**
 * Coupons that were begun and put aside for the next hot one: an instructor is interrupted ten times an evening. They
 * are kept in the browser under the account that marked them, oldest first.
 */
export const useParkedCoupons = defineStore('parkedCoupons', () => {
  const all = shallowRef<readonly ParkedCoupon[]>([])
  const keptAt = ref<'here' | 'nowhere'>('here')
  const steps = new Map<string, Steps>()
  let key = ''

  /** Takes up what this account had parked before a reload. */
  function open(accountId: string): void {
    key = keyOf(accountId)
    try {
      all.value = JSON.parse(localStorage.getItem(key) ?? '[]') as ParkedCoupon[]
    } catch {
      all.value = []
    }
  }

  function keep(parked: readonly ParkedCoupon[]): void {
    all.value = parked
    try {
      localStorage.setItem(key, JSON.stringify(parked))
      keptAt.value = 'here'
    } catch {
      keptAt.value = 'nowhere'
    }
  }

  function park(coupon: CouponDraft, cursor: Place, own: Steps): void {
    steps.set(coupon.id, own)
    keep([...all.value.filter(one => one.id !== coupon.id), { ...coupon, cursor, parkedAt: new Date().toISOString() }])
  }

  /** Takes one off the strip, with its steps; null when it is not there. */
  function take(id: string): (ParkedCoupon & Steps) | null {
    const found = all.value.find(one => one.id === id)
    if (!found) return null
    const own = steps.get(id) ?? { past: [], future: [] }
    steps.delete(id)
    keep(all.value.filter(one => one.id !== id))
    return { ...found, ...own }
  }

  /** The coupon of this id, or the new one that was begun for a student. */
  const findOf = (wanted: { readonly id?: string; readonly studentId?: string }) =>
    all.value.find(
      one => one.id === wanted.id || (one.baseVersion === 0 && !one.testId && one.student.id === wanted.studentId),
    ) ?? null

  return { all, keptAt, open, park, take, findOf }
})
