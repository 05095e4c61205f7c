import { defineEventHandler } from 'h3'
import { requireStudentReader } from '../../http/reader'
import { notFound } from '../../http/refuse'
import { schoolDay } from '../../store/school'
import { openToRead } from '../../store/blindReadings'

/** What the student at the tablet may read, without the instructor's marks. */
export default defineEventHandler(async event => {
  const open = await openToRead(await requireStudentReader(event), await schoolDay(new Date()))
  if (!open) throw notFound('student')
  return open
})
