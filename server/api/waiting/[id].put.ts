import type { QueuePlace } from '../../../contract/floor'
import { readySchema } from '../../../contract/floor'
import { doneAt } from '../../http/doneAt'
import { defineRoute } from '../../http/defineRoute'
import { hand } from '../../http/reader'
import { wrongField } from '../../http/refuse'
import { placeOf, setReady } from '../../store/queue'
import { findStudent } from '../../store/students'

/** A student's coupon is ready to be read. The same again is one wait. */
export default defineRoute(
  { who: hand, newId: 'wait', takes: readySchema },
  async ({ me, id, body: { studentId }, event }): Promise<QueuePlace> => {
    const student = await findStudent(studentId)
    if (!student) throw wrongField('studentId', 'There is no such student')
    me.speaksFor(student)
    await setReady(id, studentId, me.saidBy, doneAt(event))
    return placeOf(studentId, new Date())
  },
)
