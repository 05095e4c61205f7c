import { attendanceSchema } from '../../../contract/day'
import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { wrongField } from '../../http/refuse'
import { addAttendanceNote } from '../../store/attendance'
import { findStudent } from '../../store/students'

/** Notes something of a student's day. What was noted before stays, with who and when. */
export default defineRoute(
  { who: staff, did: 'noted who was there', newId: 'note of attendance', takes: attendanceSchema },
  async ({ me, id, body: save }) => {
    if (!(await findStudent(save.studentId))) throw wrongField('studentId', 'There is no such student')
    await addAttendanceNote(id, save, { name: me.name, now: new Date() })
  },
)
