import { defineEventHandler } from 'h3'
import { idIn, requireRecordOf } from '../../../http/access'
import { ownBlindReadings } from '../../../store/blindReadings'

/** How a student's own readings agreed with the instructor's. */
export default defineEventHandler(async event => {
  const id = idIn(event, 'student')
  await requireRecordOf(event, id)
  return ownBlindReadings(id)
})
