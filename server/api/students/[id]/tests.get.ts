import { recordOf } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { testBay } from '../../../store/welderTests'

/** One student's tests and uses of the process. */
export default defineRoute({ who: recordOf, id: 'student' }, async ({ id }) => {
  return testBay({ studentId: id })
})
