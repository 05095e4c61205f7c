import { studentSchema } from '../../../contract/people'
import { staff } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { requireSection } from '../../http/requireSection'
import { addStudent } from '../../store/students'

/** A new student of a section. */
export default defineRoute(
  { who: staff, did: 'added a student', takes: studentSchema, makes: true },
  async ({ body: fields }) => {
    await requireSection(fields.sectionId)
    return addStudent(fields)
  },
)
