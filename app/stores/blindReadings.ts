import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import type { CouponDocument } from '~~/core/coupon'
import type {
  BlindReading,
  HandedIn,
  Kiosk,
  OpenToRead,
  ReadersAgreement,
  BlindReadingSave,
  BlindReadingSummary,
} from '~~/contract/blindReadings'
import { setShopClock } from '~/composables/shopClock'
import type { Sent } from '~/sync/intents'
import { useOutbox } from './outbox'
import { keptAnswers, request } from './request'

/** Coupons read blind: by students at the shared tablet, and by a second instructor. */
export const useBlindReadings = defineStore('readings', () => {
  const outbox = useOutbox()
  const kiosk = ref<Kiosk | null>(null)

  /**
   * Hands this tablet over to the students of a section; it holds no sign-in then, and nothing of what was kept
   * for the instructor stays in it.
   */
  const handOver = async (sectionId: string) => {
    await request('POST', '/api/kiosk', { sectionId })
    await keptAnswers.wipe()
  }

  /** Finds out whether this is a tablet that was handed over. */
  async function askKiosk(): Promise<void> {
    const found = await request<Kiosk>('GET', '/api/kiosk')
    kiosk.value = found
    setShopClock(found)
    await keptAnswers.begin(found.sectionId, 'tablet')
    // Who reads at it is not kept: without a server no code can be looked at.
    await keptAnswers.keep('/api/kiosk', { ...found, studentId: null })
    await outbox.start(found.studentId ? `student ${found.studentId}` : `tablet ${found.sectionId}`)
  }

  async function take(studentId: string, code: string): Promise<void> {
    await request('POST', '/api/kiosk/student', { studentId, code })
    await askKiosk()
  }

  async function giveBack(): Promise<void> {
    await request('DELETE', '/api/kiosk/student')
    await askKiosk()
  }

  const openToRead = () => request<OpenToRead>('GET', '/api/blind-readings/open')
  const blind = (couponId: string) => request<CouponDocument>('GET', `/api/coupons/${couponId}/blind`)
  const ofCoupon = (couponId: string) => request<BlindReading[]>('GET', `/api/coupons/${couponId}/blind-readings`)
  const ofStudent = (studentId: string) =>
    request<BlindReadingSummary[]>('GET', `/api/students/${studentId}/blind-readings`)
  const agreement = () => request<ReadersAgreement>('GET', '/api/blind-readings/agreement')

  /** One id a coupon and stage, so that a reading that is sent twice is one. */
  const ids = new Map<string, string>()

  /** Hands a reading in, or keeps it here while the server is away; the same again is one reading. */
  async function handIn(save: BlindReadingSave, reader: string): Promise<Sent<HandedIn>> {
    const key = `${save.couponId} ${save.stage}`
    const id = waitingId(save) ?? ids.get(key) ?? uuid()
    ids.set(key, id)
    const about = `reading of ${save.document.ticket.rung}, ${save.stage}`
    return outbox.send<HandedIn>({ kind: 'blind reading', id, body: save, student: reader, about })
  }

  const waitingId = ({ couponId, stage }: BlindReadingSave) =>
    outbox.mine.find(({ kind, body }) => {
      const held = body as BlindReadingSave
      return kind === 'blind reading' && held.couponId === couponId && held.stage === stage
    })?.id

  return { kiosk, handOver, askKiosk, take, giveBack, openToRead, blind, ofCoupon, ofStudent, agreement, handIn }
})
