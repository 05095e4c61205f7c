import { dearAnswer } from '../../../http/dearAnswer'
import { defineRoute } from '../../../http/defineRoute'
import { lookerInto } from '../../../http/access'

/** How fast a student comes on, and when the section meets. */
export default defineRoute({ who: lookerInto, id: 'student' }, ({ event, me, id }) =>
  dearAnswer(event, me, ['ofPace', { id }], 'student'),
)
