import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { listRevisions } from '../../../store/coupons'

/** Every earlier save of a coupon, with why it was replaced. */
export default defineRoute({ who: staff, did: 'read a coupon’s history', id: 'coupon' }, async ({ id }) => {
  return listRevisions(id)
})
