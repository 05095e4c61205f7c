import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { testBay } from '../../store/welderTests'

/** The tests and uses of the process in the sections that one teaches, newest first. */
export default defineRoute({ who: staff }, ({ me }) => {
  return testBay({ sectionIds: me.sectionIds })
})
