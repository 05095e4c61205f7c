import { dearAnswer } from '../../http/dearAnswer'
import { defineRoute } from '../../http/defineRoute'
import { staff } from '../../http/access'

/** What was used in the last weeks: what a coupon costs, and what went as stubs, is reckoned from it. */
export default defineRoute({ who: staff }, ({ event, me }) =>
  dearAnswer(event, me, ['ofRodsUsed', { taught: me.sectionIds }]),
)
