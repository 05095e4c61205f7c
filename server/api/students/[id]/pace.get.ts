import { recordOf } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { found } from '../../../http/refuse'
import { studentPace } from '../../../store/pace'

/** How fast a student comes on, and when the section meets. */
export default defineRoute({ who: recordOf, id: 'student' }, async ({ id }) => {
  return found(await studentPace(id, new Date()), 'student')
})
