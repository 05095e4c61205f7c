import { defineEventHandler, getRequestIP, sendNoContent } from 'h3'
import { kioskStudentSchema } from '../../../../contract/blindReadings'
import { beginSession } from '../../../http/beginSession'
import { readAs } from '../../../http/readAs'
import { requireKiosk } from '../../../http/reader'
import { refuse } from '../../../http/refuse'
import { isLockedOut, noteFailure } from '../../../store/signIns'
import { codeHashOf } from '../../../store/studentCodes'

/** A student takes the tablet, with a name and a code. */
export default defineEventHandler(async event => {
  const { sectionId } = await requireKiosk(event)
  const { studentId, code } = await readAs<{ studentId: string; code: string }>(event, kioskStudentSchema)
  const address = getRequestIP(event) ?? 'unknown'
  const now = new Date()
  if (await isLockedOut(`code ${studentId}`, address, now))
    throw refuse(
      429,
      'Too many tries',
      'Too many wrong codes. Wait a quarter of an hour, or ask your instructor for a new one.',
    )
  const hash = await codeHashOf(studentId, sectionId)
  if (!hash || !(await verifyPassword(hash, code))) {
    await noteFailure(`code ${studentId}`, address, now)
    throw refuse(422, 'Not accepted', 'That is not your code.', [{ path: 'code', message: 'That is not your code' }])
  }
  await beginSession(event, { kiosk: { sectionId, studentId } })
  return sendNoContent(event)
})
