import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { listFloor } from '../../../store/students'

/** The active students of a section, each with the newest coupon. */
export default defineRoute({ who: staff, id: 'section' }, async ({ id }) => {
  return listFloor(id)
})
