import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { testBay } from '../../store/welderTests'

/** The school's tests and uses of the process, newest first. */
export default defineRoute({ who: staff }, async () => {
  return testBay(null)
})
