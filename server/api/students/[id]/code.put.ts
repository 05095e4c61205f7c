import { defineEventHandler, sendNoContent } from 'h3'
import { studentCodeSchema } from '../../../../contract/blindReadings'
import { idIn, requireStaff } from '../../../http/access'
import { readAs } from '../../../http/readAs'
import { notFound } from '../../../http/refuse'
import { setStudentCode } from '../../../store/studentCodes'
import { forgetTurns } from '../../../store/turns'

/** Gives a student a new code for the shared tablet. */
export default defineEventHandler(async event => {
  await requireStaff(event)
  const id = idIn(event, 'student')
  const { code } = await readAs<{ code: string }>(event, studentCodeSchema)
  if (!(await setStudentCode(id, await hashPassword(code)))) throw notFound('student')
  await forgetTurns(`code ${id}`)
  return sendNoContent(event)
})
