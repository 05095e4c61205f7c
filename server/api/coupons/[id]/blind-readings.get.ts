import { defineEventHandler } from 'h3'
import { idIn, requireRecordOf, requireSignedIn } from '../../../http/access'
import { notFound } from '../../../http/refuse'
import { findCoupon } from '../../../store/coupons'
import { blindReadingsOf } from '../../../store/blindReadings'

/** Blind readings of a coupon that has been read; a student sees the own one. */
export default defineEventHandler(async event => {
  await requireSignedIn(event)
  const coupon = await findCoupon(idIn(event, 'coupon'))
  if (!coupon) throw notFound('coupon')
  const me = await requireRecordOf(event, coupon.document.studentId)
  const readings = await blindReadingsOf(coupon.id)
  return me.role === 'student' ? readings.filter(one => one.reader.id === me.studentId) : readings
})
