import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { listRevisions } from '../../../store/coupons'

export default defineRoute({ who: staff, id: 'coupon' }, async ({ id }) => {
  return listRevisions(id)
})
