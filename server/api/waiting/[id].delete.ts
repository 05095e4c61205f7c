import { defineRoute } from '../../http/defineRoute'
import { hand } from '../../http/reader'
import { found } from '../../http/refuse'
import { takeBackReady, waiterOf } from '../../store/queue'
import { findStudent } from '../../store/students'

/** It is not ready after all. */
export default defineRoute({ who: hand, id: 'wait', did: 'took back that a coupon is ready' }, async ({ me, id }) => {
  const studentId = found(await waiterOf(id), 'wait')
  me.speaksFor(found(await findStudent(studentId), 'student'))
  await takeBackReady(id, studentId, await me.doneAt())
})
