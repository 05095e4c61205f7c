import { studentCodeSchema } from '../../../../contract/blindReadings'
import { staff } from '../../../http/access'
import { defineRoute } from '../../../http/defineRoute'
import { notFound } from '../../../http/refuse'
import { setStudentCode } from '../../../store/studentCodes'
import { forgetTurns } from '../../../store/turns'
import { hashPassword } from '../../../http/passwords'

/** Gives a student a new code for the shared tablet. */
export default defineRoute(
  { who: staff, did: 'gave a new code', id: 'student', takes: studentCodeSchema },
  async ({ id, body: { code } }) => {
    if (!(await setStudentCode(id, await hashPassword(code)))) throw notFound('student')
    await forgetTurns(`code ${id}`)
  },
)
