import { v7 as uuid } from 'uuid'
import { kioskSchema } from '../../../contract/blindReadings'
import { staff } from '../../http/access'
import { beginSession } from '../../http/beginSession'
import { defineRoute } from '../../http/defineRoute'
import { deviceOf } from '../../http/deviceOf'
import { requireSection } from '../../http/requireSection'
import { handOver } from '../../store/tablets'

/** Hands this tablet over to a section's students: the instructor is signed out, and signs in again to take it back. */
export default defineRoute(
  { who: staff, did: 'handed a tablet over', takes: kioskSchema },
  async ({ me, body: { sectionId }, event }) => {
    await requireSection(sectionId)
    const tabletId = uuid()
    await handOver(tabletId, { sectionId, by: me.id, device: deviceOf(event) })
    await beginSession(event, { kiosk: { sectionId, tabletId, turn: 0, student: null } })
  },
)
