import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { couponsRun } from '../../store/couponsRun'

/** With which rods the coupons of the last weeks were run: what a coupon costs is reckoned from it and the book. */
export default defineRoute({ who: staff }, ({ me }) => couponsRun(me.sectionIds))
