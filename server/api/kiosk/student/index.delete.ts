import { defineEventHandler, sendNoContent } from 'h3'
import { beginSession } from '../../../http/beginSession'
import { requireKiosk } from '../../../http/reader'

/** The student gives the tablet to the next. */
export default defineEventHandler(async event => {
  const { sectionId } = await requireKiosk(event)
  await beginSession(event, { kiosk: { sectionId, studentId: null } })
  return sendNoContent(event)
})
