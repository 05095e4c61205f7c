import { recordOf } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { found } from '../../../http/refuse'
import { hoursOf } from '../../../store/boothTime'

/** A student's hours this term, by position, and toward the programme's. */
export default defineRoute({ who: recordOf, id: 'student' }, async ({ id }) => {
  return found(await hoursOf(id, new Date()), 'student')
})
