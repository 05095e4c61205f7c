import { defineEventHandler, getRouterParam } from 'h3'
import type { SavedCoupon } from '../../../contract/coupon'
import { uuid } from '../../../contract/fields'
import { blindReadingSchema, type HandedIn, type BlindReadingSave } from '../../../contract/blindReadings'
import { DOCUMENT_BYTES, parseAs, readAs } from '../../http/readAs'
import { requireReader } from '../../http/reader'
import { notFound, refuse } from '../../http/refuse'
import { findCoupon, savedBy } from '../../store/coupons'
import { keepBlindReading, type Reader } from '../../store/blindReadings'

/** Hands in a blind reading. The same again is one reading; it is not changed afterwards. */
export default defineEventHandler(async (event): Promise<HandedIn> => {
  const reader = await requireReader(event)
  const id = await parseAs<string>(getRouterParam(event, 'id'), uuid().label('id').required())
  const save = await readAs<BlindReadingSave>(event, blindReadingSchema, DOCUMENT_BYTES)
  const reference = await findCoupon(save.couponId)
  await mayRead(reader, save, reference)
  const reading = await keepBlindReading(id, save, reader, new Date())
  if (!reading) throw refuse(409, 'Read already', 'You have read this coupon already.')
  // Under its slag the coupon is still to be read clean: nothing is shown of what the instructor saw.
  return { reading, reference: save.stage === 'after chipping' ? (reference?.document ?? null) : null }
})

async function mayRead(
  reader: Reader,
  { couponId, document }: BlindReadingSave,
  reference: SavedCoupon | null,
): Promise<void> {
  if (reference && reference.document.studentId !== document.studentId)
    throw wrong('document.studentId', 'This is another student’s coupon')
  if (reader.kind === 'student') {
    if (document.studentId !== reader.id) throw refuse(403, 'Not yours to read', 'You may read your own coupons only.')
    return
  }
  if (!reference) throw notFound('coupon')
  if ((await savedBy(couponId)) === reader.id)
    throw wrong('couponId', 'You read this coupon yourself; somebody else reads it blind')
}

const wrong = (path: string, message: string) => refuse(422, 'Not accepted', `${message}.`, [{ path, message }])
