import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { listStudents } from '../../../store/students'

export default defineRoute({ who: staff, id: 'section' }, async ({ id }) => {
  return listStudents(id)
})
