import { defineEventHandler, sendNoContent } from 'h3'
import { beginSession } from '../../../http/beginSession'
import { requireKiosk } from '../../../http/reader'

/** The student gives the tablet to the next. */
export default defineEventHandler(async event => {
  const tablet = await requireKiosk(event)
  await beginSession(event, { kiosk: { ...tablet, student: null } })
  return sendNoContent(event)
})
