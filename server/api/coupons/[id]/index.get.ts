import { signedIn, mustSeeRecordOf } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { found } from '../../../http/refuse'
import { findCoupon, noteSeenByStudent } from '../../../store/coupons'

/** A coupon as it was saved last. */
export default defineRoute({ who: signedIn, did: 'opened a coupon', id: 'coupon' }, async ({ me, id }) => {
  const coupon = found(await findCoupon(id), 'coupon')
  mustSeeRecordOf(me, coupon.document.studentId)
  if (me.role === 'student') await noteSeenByStudent([id])
  return coupon
})
