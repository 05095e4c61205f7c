import { straysOfSchool, type Stray } from '../../core/readiness'
import { staff } from '../http/access'
import { defineRoute } from '../http/defineRoute'
import { testsKnown } from '../store/testOutcomes'

/** Which tests of the school go otherwise than its coupons say. */
export default defineRoute({ who: staff }, async (): Promise<Stray[]> => {
  return straysOfSchool((await testsKnown()).recalibration)
})
