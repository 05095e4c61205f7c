import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { listStudents } from '../../../store/students'

/** The students of a section, the archived among them. */
export default defineRoute({ who: staff, id: 'section' }, async ({ id }) => {
  return listStudents(id)
})
