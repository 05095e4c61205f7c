import { defineEventHandler, sendNoContent } from 'h3'
import { kioskStudentSchema } from '../../../../contract/blindReadings'
import { addressOf } from '../../../http/addressOf'
import { beginSession } from '../../../http/beginSession'
import { readAs } from '../../../http/readAs'
import { requireKiosk } from '../../../http/reader'
import { refuse } from '../../../http/refuse'
import { tooManyTries } from '../../../http/tooManyTries'
import { codeOf } from '../../../store/studentCodes'
import { codeSubjects, giveTurnBack, takeTurn } from '../../../store/turns'

/** A student takes the tablet, with a name and a code. */
export default defineEventHandler(async event => {
  const tablet = await requireKiosk(event)
  const { studentId, code } = await readAs<{ studentId: string; code: string }>(event, kioskStudentSchema)
  const subjects = codeSubjects(studentId, tablet.tabletId, addressOf(event))
  const wait = await takeTurn(subjects)
  if (wait > 0) throw tooManyTries(event, wait, 'ask your instructor for a new code')
  const kept = await codeOf(studentId, tablet.sectionId)
  if (!kept || !(await verifyPassword(kept.hash, code)))
    throw refuse(422, 'Not accepted', 'That is not your code.', [{ path: 'code', message: 'That is not your code' }])
  await giveTurnBack(subjects)
  await beginSession(event, { kiosk: { ...tablet, student: { id: studentId, number: kept.number } } })
  return sendNoContent(event)
})
