import { dearAnswer } from '../../../http/dearAnswer'
import { defineRoute } from '../../../http/defineRoute'
import { lookerInto } from '../../../http/access'

/** One student's tests and uses of the process. */
export default defineRoute({ who: lookerInto, id: 'student' }, ({ event, me, id }) =>
  dearAnswer(event, me, ['ofTests', { studentId: id }], 'student'),
)
