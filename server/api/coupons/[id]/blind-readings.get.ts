import { signedIn, mustSeeRecordOf } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { found } from '../../../http/refuse'
import { blindReadingsOf } from '../../../store/blindReadings'
import { findCoupon } from '../../../store/coupons'

/** Blind readings of a coupon that has been read; a student sees the own one. */
export default defineRoute({ who: signedIn, id: 'coupon' }, async ({ me, id }) => {
  const coupon = found(await findCoupon(id), 'coupon')
  mustSeeRecordOf(me, coupon.document.studentId)
  const readings = await blindReadingsOf(coupon.id)
  return me.role === 'student' ? readings.filter(one => one.reader.id === me.studentId) : readings
})
