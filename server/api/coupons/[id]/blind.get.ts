import { defineEventHandler } from 'h3'
import { blindCopy } from '../../../../core/agreement'
import { idIn, requireStaff } from '../../../http/access'
import { notFound } from '../../../http/refuse'
import { findCoupon } from '../../../store/coupons'

/** A coupon without what its reader saw, for a second reader. */
export default defineEventHandler(async event => {
  await requireStaff(event)
  const coupon = await findCoupon(idIn(event, 'coupon'))
  if (!coupon) throw notFound('coupon')
  return blindCopy(coupon.document)
})
