import { dearAnswer } from '../../../http/dearAnswer'
import { defineRoute } from '../../../http/defineRoute'
import { lookerInto } from '../../../http/access'

/** Where a student stands: ladder, sign-offs, skill. */
export default defineRoute({ who: lookerInto, id: 'student' }, ({ event, me, id }) =>
  dearAnswer(event, me, ['ofProgress', { id }], 'student'),
)
