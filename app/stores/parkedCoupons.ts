import { defineStore } from 'pinia'
import type { CouponDocument, Place } from '~~/core/coupon'
import type { makeCouponBench } from '~/composables/couponBench'
import { sealedDrawer } from '~/sync/sealedDrawer'
import { outboxSeal } from './outbox'

/** Which coupon lies on the bench, and whose. */
export interface OpenCoupon {
  readonly id: string
  readonly baseVersion: number
  readonly student: { readonly id: string; readonly name: string }
  /** What the last joint's fit-up asks of this one, degrees. */
  readonly presetDegrees?: number | null
  /** The test that it is the coupon of: there it goes back to when it is saved. */
  readonly testId?: string
  /** A made-up coupon, to try the Bench on: it is not saved. */
  readonly toTry?: true
}

/** A coupon as the browser keeps it, marked or not. */
export interface CouponDraft extends OpenCoupon {
  readonly touched: boolean
  readonly document: CouponDocument
  /** Where the cursor stood. */
  readonly cursor?: Place
}

/** The steps back and forward of a coupon; they live as long as the page. */
type Steps = ReturnType<ReturnType<typeof makeCouponBench>['steps']>

/** A coupon that was begun and waits beside the bench, where it was left. */
interface ParkedCoupon extends CouponDraft {
  /** When it was put aside, ISO 8601. */
  readonly parkedAt: string
}

const keyOf = (accountId: string) => `fusilis.parked.${accountId}`

/**
 * Coupons that were begun and put aside for the next hot one: an instructor is interrupted ten times an evening. They
 * are kept in the browser, sealed for the account that marked them, oldest first.
 */
export const useParkedCoupons = defineStore('parkedCoupons', () => {
  const all = shallowRef<readonly ParkedCoupon[]>([])
  const keptAt = ref<'here' | 'nowhere'>('here')
  const steps = new Map<string, Steps>()
  const drawer = sealedDrawer<readonly ParkedCoupon[]>(outboxSeal)
  let owner = ''

  /** Takes up what this account had parked before a reload, once its seal is open. */
  async function open(accountId: string): Promise<void> {
    if (owner === accountId) return
    owner = accountId
    all.value = (await drawer.found(keyOf(owner), owner)).flat()
  }

  async function keep(parked: readonly ParkedCoupon[]): Promise<void> {
    all.value = parked
    keptAt.value = (await drawer.keep(keyOf(owner), owner, parked)) ? 'here' : 'nowhere'
  }

  function park(coupon: CouponDraft, own: Steps): void {
    steps.set(coupon.id, own)
    void keep([...all.value.filter(one => one.id !== coupon.id), { ...coupon, parkedAt: new Date().toISOString() }])
  }

  /** Takes one off the strip, with its steps; null when it is not there. */
  function take(id: string): { readonly coupon: CouponDraft; readonly steps: Steps } | null {
    const found = all.value.find(one => one.id === id)
    if (!found) return null
    const { parkedAt: _, ...coupon } = found
    const own = steps.get(id) ?? { back: [], forward: [] }
    steps.delete(id)
    void keep(all.value.filter(one => one.id !== id))
    return { coupon, steps: own }
  }

  /** The coupon of this id, or the new one that was begun for a student. */
  const findOf = (wanted: { readonly id?: string; readonly studentId?: string }) =>
    all.value.find(
      one => one.id === wanted.id || (one.baseVersion === 0 && !one.testId && one.student.id === wanted.studentId),
    ) ?? null

  return { all, keptAt, open, park, take, findOf }
})
