import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { findRodsUsed } from '../../store/rodBook'

/** What was used in the last weeks: what a coupon costs, and what went as stubs, is reckoned from it. */
export default defineRoute({ who: staff }, ({ me }) => findRodsUsed(me.sectionIds))
