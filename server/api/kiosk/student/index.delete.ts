import { beginSession } from '../../../http/beginSession'
import { defineRoute } from '../../../http/defineRoute'
import { tablet } from '../../../http/reader'

/** The student gives the tablet to the next. */
export default defineRoute({ who: tablet, did: 'gave the tablet back' }, async ({ me, event }) => {
  await beginSession(event, { kiosk: { ...me, student: null } })
})
