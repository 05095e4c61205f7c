import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { found } from '../../../http/refuse'
import { reportOf } from '../../../store/report'

/** A section's report: attendance, rungs and rates of each student. */
export default defineRoute({ who: staff, did: 'read the report', id: 'section' }, async ({ id }) => {
  return found(await reportOf(id), 'section')
})
