import { wallClockAt } from '../../../core/calendar'
import { misNoted } from '../../../core/floor'
import { attendanceSchema, NOW } from '../../../contract/day'
import { staff } from '../../http/access'
import { doneAt } from '../../http/doneAt'
import { defineRoute } from '../../http/defineRoute'
import { wrongField } from '../../http/refuse'
import { addAttendanceNote } from '../../store/attendance'
import { schoolClock } from '../../store/school'
import { findStudent } from '../../store/students'

/** Notes something of a student's day. What was noted before stays, with who and when. */
export default defineRoute(
  { who: staff, did: 'noted who was there', newId: 'note of attendance', takes: attendanceSchema },
  async ({ me, id, body, event }) => {
    const now = doneAt(event)
    const { zone, turnsAt } = await schoolClock()
    const time = wallClockAt(now, zone)
    const at = (said: string | null) => (said === NOW ? time : said)
    const save = { ...body, came: at(body.came), left: at(body.left) }
    const wrong = misNoted(save, turnsAt)
    if (wrong) throw wrongField(wrong.path, wrong.says)
    if (!(await findStudent(save.studentId))) throw wrongField('studentId', 'There is no such student')
    await addAttendanceNote(id, save, { name: me.name, now })
  },
)
