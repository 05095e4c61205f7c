import { dearAnswer } from '../http/dearAnswer'
import { defineRoute } from '../http/defineRoute'
import { staff } from '../http/access'

/** Which tests of the school go otherwise than its coupons say. */
export default defineRoute({ who: staff }, ({ event, me }) => dearAnswer(event, me, ['ofStrays', undefined]))
