import { dearAnswer } from '../../../http/dearAnswer'
import { defineRoute } from '../../../http/defineRoute'
import { lookerInto } from '../../../http/access'

/** How a student's own readings agreed with the instructor's. */
export default defineRoute({ who: lookerInto, id: 'student' }, ({ event, me, id }) =>
  dearAnswer(event, me, ['ofOwnReadings', { id }], 'student'),
)
