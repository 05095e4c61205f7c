import { blindCopy } from '../../../../core/agreement'
import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { found } from '../../../http/refuse'
import { findCoupon } from '../../../store/coupons'

/** A coupon without what its reader saw, for a second reader. */
export default defineRoute({ who: staff, id: 'coupon' }, async ({ id }) => {
  const coupon = found(await findCoupon(id), 'coupon')
  return blindCopy(coupon.document)
})
