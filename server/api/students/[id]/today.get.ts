import { lookerInto } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { found } from '../../../http/refuse'
import { studentToday } from '../../../store/studentToday'

/** A student's day: class, booth, what was planned, and which coupon was read last. */
export default defineRoute({ who: lookerInto, id: 'student' }, async ({ id }) =>
  found(await studentToday(id, new Date()), 'student'),
)
