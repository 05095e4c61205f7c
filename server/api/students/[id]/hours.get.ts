import { dearAnswer } from '../../../http/dearAnswer'
import { defineRoute } from '../../../http/defineRoute'
import { recordOf } from '../../../http/access'

/** A student's hours this term, by position, and toward the programme's. */
export default defineRoute({ who: recordOf, id: 'student' }, ({ event, me, id }) =>
  dearAnswer(event, me, ['ofHours', { id }], 'student'),
)
