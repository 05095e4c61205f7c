import { defineEventHandler } from 'h3'
import { idIn, requireRecordOf } from '../../../http/access'
import { beadAnswersOf } from '../../../store/readingRoom'

/** What a student said of the beads shown for practice. */
export default defineEventHandler(async event => {
  const id = idIn(event, 'student')
  await requireRecordOf(event, id)
  return beadAnswersOf(id)
})
