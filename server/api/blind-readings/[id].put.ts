import { blindReadingSchema, type HandedIn, type BlindReadingSave } from '../../../contract/blindReadings'
import type { SavedCoupon } from '../../../contract/coupon'
import { defineRoute } from '../../http/defineRoute'
import { DOCUMENT_BYTES } from '../../http/readAs'
import { reader } from '../../http/reader'
import { notFound, refuse, wrongField } from '../../http/refuse'
import { keepBlindReading, readingsInHand, type Reader } from '../../store/blindReadings'
import { findCoupon, savedBy, wasSeenByStudent } from '../../store/coupons'

/** Hands in a blind reading. The same again is one reading; it is not changed afterwards. */
export default defineRoute(
  {
    who: reader,
    did: 'handed in a blind reading',
    newId: 'blind reading',
    takes: blindReadingSchema,
    mostBytes: DOCUMENT_BYTES,
  },
  async ({ me, id, body: save }): Promise<HandedIn> => {
    const reference = await findCoupon(save.couponId)
    await mayRead(me, save, reference)
    const reading = await keepBlindReading(id, save, me, new Date())
    if (!reading) throw refuse(409, 'Read already', 'You have read this coupon already.')
    // Under its slag the coupon is still to be read clean: nothing is shown of what the instructor saw.
    return { reading, reference: save.stage === 'after chipping' ? (reference?.document ?? null) : null }
  },
)

/** Readings of coupons that no instructor has read as yet, that a student may have handed in in a day. */
const MOST_IN_HAND = 24

/** A student reads what lies in the hand: no more of it than a long day holds. */
async function mayHandInMore(studentId: string, couponId: string): Promise<void> {
  if ((await readingsInHand(studentId, couponId)) >= MOST_IN_HAND)
    throw refuse(429, 'Enough for today', 'You have handed in as many readings as a day holds. Go on tomorrow.')
}

async function mayRead(
  reader: Reader,
  { couponId, document }: BlindReadingSave,
  reference: SavedCoupon | null,
): Promise<void> {
  if (reference && reference.document.studentId !== document.studentId)
    throw wrongField('document.studentId', 'This is another student’s coupon')
  if (reader.kind === 'student') {
    if (document.studentId !== reader.id) throw refuse(403, 'Not yours to read', 'You may read your own coupons only.')
    if (await wasSeenByStudent(couponId))
      throw refuse(409, 'Seen already', 'You have seen how this coupon was read: it is not read blind any more.')
    await mayHandInMore(reader.id, couponId)
    return
  }
  if (!reference) throw notFound('coupon')
  if ((await savedBy(couponId)) === reader.id)
    throw wrongField('couponId', 'You read this coupon yourself; somebody else reads it blind')
}
