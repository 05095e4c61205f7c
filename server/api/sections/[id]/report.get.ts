import { defineEventHandler } from 'h3'
import { idIn, requireStaff } from '../../../http/access'
import { notFound } from '../../../http/refuse'
import { reportOf } from '../../../store/report'

/** A section's report: attendance, rungs and rates of each student. */
export default defineEventHandler(async event => {
  await requireStaff(event)
  const report = await reportOf(idIn(event, 'section'))
  if (!report) throw notFound('section')
  return report
})
