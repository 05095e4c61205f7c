import { dearAnswer } from '../../../http/dearAnswer'
import { defineRoute } from '../../../http/defineRoute'
import { staff } from '../../../http/access'

/** A section's report: attendance, rungs and rates of each student. */
export default defineRoute({ who: staff, did: 'read the report', id: 'section' }, ({ event, me, id }) =>
  dearAnswer(event, me, ['ofReport', { id }], 'section'),
)
