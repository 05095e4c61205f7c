import { defineEventHandler } from 'h3'
import { idIn, requireStaff } from '../../../http/access'
import { listStudents } from '../../../store/students'

export default defineEventHandler(async event => {
  await requireStaff(event)
  return listStudents(idIn(event, 'section'))
})
