import { useLocalStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import type { CouponConflict, CouponRevision, CouponSave, SavedCoupon } from '~~/contract/coupon'
import { request, RequestFailure } from './request'

export interface Waiting {
  readonly id: string
  readonly save: CouponSave
  readonly student: string
  /** Who marked it; nobody else's sign-in may send it. */
  readonly accountId: string
  /** Why the server would not take it; null while it was only out of reach. */
  readonly refused: string | null
}

export type SaveResult =
  | { readonly is: 'saved'; readonly coupon: SavedCoupon }
  | { readonly is: 'kept here' }
  | { readonly is: 'conflict'; readonly theirs: SavedCoupon }

const RETRY_MS = 10_000
/** No answer, signed out, or the database away: nothing else would get through either. */
const OUT_OF_REACH: ReadonlySet<number> = new Set([0, 401, 503])

/**
 * Sends coupons to the server. One that cannot be sent waits in the browser and is tried again; a reload does not
 * lose it.
 */
export const useOutbox = defineStore('outbox', () => {
  const waiting = useLocalStorage<Waiting[]>('fusilis.outbox', [])
  const accountId = ref('')
  const mine = computed(() => waiting.value.filter(one => one.accountId === accountId.value))
  const refused = computed(() => mine.value.filter(one => one.refused !== null))
  let sending = false

  const put = (id: string, save: CouponSave) => request<SavedCoupon>('PUT', `/api/coupons/${id}`, save)

  /**
   * Saves a coupon now, or keeps it here while the server is away. @throws RequestFailure when the server refuses
   * it
   */
  async function send(id: string, save: CouponSave, student: string): Promise<SaveResult> {
    try {
      const coupon = await put(id, save)
      forget(id)
      return { is: 'saved', coupon }
    } catch (error) {
      if (!(error instanceof RequestFailure)) throw error
      if (error.status === 409) return { is: 'conflict', theirs: (error.body as CouponConflict).theirs }
      if (!error.away) throw error
      waiting.value = [
        ...waiting.value.filter(one => one.id !== id),
        { id, save, student, accountId: accountId.value, refused: null },
      ]
      return { is: 'kept here' }
    }
  }

  function forget(id: string): void {
    if (waiting.value.some(one => one.id === id)) waiting.value = waiting.value.filter(one => one.id !== id)
  }

  /**
   * Tries every waiting coupon again, oldest first; stops at the first sign that the server is still away. One that it
   * cannot take for reasons of its own holds up nothing behind it.
   */
  async function retry(): Promise<void> {
    if (sending) return
    sending = true
    try {
      for (const one of mine.value.filter(each => each.refused === null)) {
        try {
          await put(one.id, one.save)
          forget(one.id)
        } catch (error) {
          if (!(error instanceof RequestFailure) || OUT_OF_REACH.has(error.status)) return
          if (error.away) continue
          waiting.value = waiting.value.map(each => (each.id === one.id ? { ...each, refused: error.message } : each))
        }
      }
    } finally {
      sending = false
    }
  }

  /** Keeps trying while this page is open. */
  function start(account: string): void {
    if (accountId.value === account) return
    const first = accountId.value === ''
    accountId.value = account
    if (first) {
      window.setInterval(() => void retry(), RETRY_MS)
      window.addEventListener('online', () => void retry())
    }
    void retry()
  }

  const find = (id: string) => request<SavedCoupon>('GET', `/api/coupons/${id}`)
  const revisions = (id: string) => request<CouponRevision[]>('GET', `/api/coupons/${id}/revisions`)

  return { mine, refused, send, retry, start, forget, find, revisions }
})
