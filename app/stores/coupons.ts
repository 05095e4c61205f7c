import { defineStore } from 'pinia'
import type { CouponRevision, CouponSave, SavedCoupon } from '~~/contract/coupon'
import { spokenDay } from '~~/core/calendar'
import type { Intent, Sent } from '~/sync/intents'
import { useOutbox } from './outbox'
import { request } from './request'

/** Saved coupons, and the way to save one. */
export const useCoupons = defineStore('coupons', () => {
  const outbox = useOutbox()

  const find = (id: string) => request<SavedCoupon>('GET', `/api/coupons/${id}`)
  const revisions = (id: string) => request<CouponRevision[]>('GET', `/api/coupons/${id}/revisions`)

  /** Saves a coupon now, or keeps it here while the server is away. @throws RequestFailure when it is refused */
  const save = (id: string, body: CouponSave, student: string): Promise<Sent<SavedCoupon>> =>
    outbox.send<SavedCoupon>({
      kind: 'coupon',
      id,
      body,
      student,
      about: `${body.document.ticket.rung}, ${spokenDay(body.document.classDay)}`,
    })

  /** The coupon of this id that waits in this browser. */
  const waiting = (id: string): Intent<CouponSave> | null => outbox.find<CouponSave>({ kind: 'coupon', id })

  return { find, revisions, save, waiting }
})
