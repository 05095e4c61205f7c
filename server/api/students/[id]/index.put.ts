import { defineEventHandler } from 'h3'
import { studentSchema, type StudentFields } from '../../../../contract/people'
import { idIn, requireStaff } from '../../../http/access'
import { readAs } from '../../../http/readAs'
import { notFound } from '../../../http/refuse'
import { requireSection } from '../../../http/sectionOf'
import { changeStudent } from '../../../store/students'

export default defineEventHandler(async event => {
  await requireStaff(event)
  const id = idIn(event, 'student')
  const fields = await readAs<StudentFields>(event, studentSchema)
  await requireSection(fields.sectionId)
  if (!(await changeStudent(id, fields))) throw notFound('student')
  return { id, ...fields }
})
