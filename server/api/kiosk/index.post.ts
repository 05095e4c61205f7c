import { v7 as uuid } from 'uuid'
import { kioskSchema } from '../../../contract/blindReadings'
import { staff } from '../../http/access'
import { beginSession } from '../../http/beginSession'
import { defineRoute } from '../../http/defineRoute'
import { requireSection } from '../../http/requireSection'

/** Hands this tablet over to a section's students: the instructor is signed out, and signs in again to take it back. */
export default defineRoute(
  { who: staff, did: 'handed a tablet over', takes: kioskSchema },
  async ({ body: { sectionId }, event }) => {
    await requireSection(sectionId)
    await beginSession(event, { kiosk: { sectionId, tabletId: uuid(), student: null } })
  },
)
