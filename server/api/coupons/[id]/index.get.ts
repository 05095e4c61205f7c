import { defineEventHandler } from 'h3'
import { idIn, requireRecordOf, requireSignedIn } from '../../../http/access'
import { notFound } from '../../../http/refuse'
import { findCoupon } from '../../../store/coupons'

export default defineEventHandler(async event => {
  await requireSignedIn(event)
  const coupon = await findCoupon(idIn(event, 'coupon'))
  if (!coupon) throw notFound('coupon')
  await requireRecordOf(event, coupon.document.studentId)
  return coupon
})
