import { defineEventHandler, setResponseStatus } from 'h3'
import { studentSchema, type StudentFields } from '../../../contract/people'
import { requireStaff } from '../../http/access'
import { readAs } from '../../http/readAs'
import { requireSection } from '../../http/sectionOf'
import { addStudent } from '../../store/students'

export default defineEventHandler(async event => {
  await requireStaff(event)
  const fields = await readAs<StudentFields>(event, studentSchema)
  await requireSection(fields.sectionId)
  setResponseStatus(event, 201)
  return addStudent(fields)
})
