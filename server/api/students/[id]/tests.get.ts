import { dearAnswer } from '../../../http/dearAnswer'
import { defineRoute } from '../../../http/defineRoute'
import { recordOf } from '../../../http/access'

/** One student's tests and uses of the process. */
export default defineRoute({ who: recordOf, id: 'student' }, ({ event, me, id }) =>
  dearAnswer(event, me, ['ofTests', { studentId: id }], 'student'),
)
