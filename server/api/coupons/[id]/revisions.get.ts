import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { listRevisions } from '../../../store/coupons'

export default defineRoute({ who: staff, did: 'read a coupon’s history', id: 'coupon' }, async ({ id }) => {
  return listRevisions(id)
})
