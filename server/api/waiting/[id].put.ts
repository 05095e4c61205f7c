import type { QueuePlace } from '../../../contract/floor'
import { readySchema } from '../../../contract/floor'
import { defineRoute } from '../../http/defineRoute'
import { hand } from '../../http/reader'
import { wrongField } from '../../http/refuse'
import { placeOf, setReady } from '../../store/queue'
import { findStudent } from '../../store/students'

/** A student's coupon is ready to be read. The same again is one wait. */
export default defineRoute(
  { who: hand, did: 'said a coupon is ready', newId: 'wait', takes: readySchema },
  async ({ me, id, body: { studentId } }): Promise<QueuePlace> => {
    const student = await findStudent(studentId)
    if (!student) throw wrongField('studentId', 'There is no such student')
    me.speaksFor(student)
    await setReady(id, studentId, me.saidBy, await me.doneAt())
    return placeOf(studentId, new Date())
  },
)
