import { defineEventHandler } from 'h3'
import { idIn, requireRecordOf } from '../../../http/access'
import { notFound } from '../../../http/refuse'
import { progressOf } from '../../../store/progress'

/** Where a student stands: ladder, sign-offs, skill. */
export default defineEventHandler(async event => {
  const id = idIn(event, 'student')
  await requireRecordOf(event, id)
  const progress = await progressOf(id)
  if (!progress) throw notFound('student')
  return progress
})
