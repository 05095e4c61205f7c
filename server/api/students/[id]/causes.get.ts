import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { causesSaidOf } from '../../../store/causes'

/** What instructors said was the cause of a student's coupons: the odds of the Bench lean on it. */
export default defineRoute({ who: staff, id: 'student' }, async ({ id }) => {
  return causesSaidOf(id)
})
