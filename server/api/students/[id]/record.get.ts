import { recordOf } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { found } from '../../../http/refuse'
import { findRecord } from '../../../store/records'

/** A student and how many coupons there are, as the record opens. */
export default defineRoute({ who: recordOf, did: 'looked at the record', id: 'student' }, async ({ id }) => {
  return found(await findRecord(id), 'student')
})
