import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { found } from '../../../http/refuse'
import { holdStudent } from '../../../store/queue'
import { findStudent } from '../../../store/students'

/** The instructor reads this student's coupon now. */
export default defineRoute({ who: staff, id: 'student', did: 'opened a student’s coupon' }, async ({ me, id }) => {
  found(await findStudent(id), 'student')
  await holdStudent(id, me.id, new Date())
})
