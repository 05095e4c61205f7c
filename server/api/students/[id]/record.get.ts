import { recordOf } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { found } from '../../../http/refuse'
import { findRecord } from '../../../store/records'

export default defineRoute({ who: recordOf, did: 'looked at the record', id: 'student' }, async ({ id }) => {
  return found(await findRecord(id), 'student')
})
