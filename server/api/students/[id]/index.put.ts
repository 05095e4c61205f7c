import { studentSchema } from '../../../../contract/people'
import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { notFound } from '../../../http/refuse'
import { requireSection } from '../../../http/requireSection'
import { schoolDay } from '../../../store/school'
import { changeStudent } from '../../../store/students'

/** Changes a student, moves one to another section, or archives one. */
export default defineRoute(
  { who: staff, did: 'changed a student', id: 'student', takes: studentSchema },
  async ({ id, body: fields }) => {
    await requireSection(fields.sectionId)
    if (!(await changeStudent(id, fields, await schoolDay(new Date())))) throw notFound('student')
    return { id, ...fields }
  },
)
