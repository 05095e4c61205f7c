import { kioskStudentSchema } from '../../../../contract/blindReadings'
import { beginSession } from '../../../http/beginSession'
import { defineRoute } from '../../../http/defineRoute'
import { tablet } from '../../../http/reader'
import { wrongField } from '../../../http/refuse'
import { tooManyTries } from '../../../http/tooManyTries'
import { codeOf } from '../../../store/studentCodes'
import { nextTurn } from '../../../store/tablets'
import { codeSubjects, giveTurnBack, takeTurn } from '../../../store/turns'
import { verifyPassword } from '../../../http/passwords'

/** A student takes the tablet, with a name and a code. */
export default defineRoute(
  { who: tablet, did: 'took the tablet', takes: kioskStudentSchema },
  async ({ me, body: { studentId, code }, event }) => {
    const subjects = codeSubjects(studentId, me.tabletId)
    const wait = await takeTurn(subjects)
    if (wait > 0) throw tooManyTries(event, wait, 'ask your instructor for a new code')
    const kept = await codeOf(studentId, me.sectionId)
    if (!kept || !(await verifyPassword(kept.hash, code))) throw wrongField('code', 'That is not your code')
    await giveTurnBack(subjects)
    const turn = await nextTurn(me.tabletId)
    await beginSession(event, { kiosk: { ...me, turn, student: { id: studentId, number: kept.number } } })
  },
)
