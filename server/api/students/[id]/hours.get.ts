import { dearAnswer } from '../../../http/dearAnswer'
import { defineRoute } from '../../../http/defineRoute'
import { lookerInto } from '../../../http/access'

/** A student's hours this term, by position, and toward the programme's. */
export default defineRoute({ who: lookerInto, id: 'student' }, ({ event, me, id }) =>
  dearAnswer(event, me, ['ofHours', { id }], 'student'),
)
