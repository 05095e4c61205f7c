import { defineEventHandler } from 'h3'
import { idIn, requireRecordOf } from '../../../http/access'
import { notFound } from '../../../http/refuse'
import { findRecord } from '../../../store/records'

export default defineEventHandler(async event => {
  const id = idIn(event, 'student')
  await requireRecordOf(event, id)
  const record = await findRecord(id)
  if (!record) throw notFound('student')
  return record
})
