import { mustSeeRecordOf, signedIn } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { mustTeach } from '../../../http/mustTeach'
import { findCoupon } from '../../../store/coupons'
import { picturesOf } from '../../../store/pictures'

/** Which pictures there are of a coupon, also of one that is not saved yet; none is an empty list. */
export default defineRoute({ who: signedIn, id: 'coupon' }, async ({ me, id, event }) => {
  const [pictures, coupon] = await Promise.all([picturesOf(id), findCoupon(id)])
  const studentIds = [...new Set([...pictures, ...(coupon ? [coupon.document] : [])].map(one => one.studentId))]
  studentIds.forEach(studentId => mustSeeRecordOf(me, studentId))
  await mustTeach(event, studentIds)
  return pictures
})
