import { defineEventHandler, sendNoContent } from 'h3'
import { v7 as uuid } from 'uuid'
import { kioskSchema } from '../../../contract/blindReadings'
import { beginSession } from '../../http/beginSession'
import { requireStaff } from '../../http/access'
import { readAs } from '../../http/readAs'
import { requireSection } from '../../http/sectionOf'

/** Hands this tablet over to a section's students: the instructor is signed out, and signs in again to take it back. */
export default defineEventHandler(async event => {
  await requireStaff(event)
  const { sectionId } = await readAs<{ sectionId: string }>(event, kioskSchema)
  await requireSection(sectionId)
  await beginSession(event, { kiosk: { sectionId, tabletId: uuid(), student: null } })
  return sendNoContent(event)
})
