import { beginSession } from '../../../http/beginSession'
import { defineRoute } from '../../../http/defineRoute'
import { tablet } from '../../../http/reader'
import { nextTurn } from '../../../store/tablets'

/** The student gives the tablet to the next. */
export default defineRoute({ who: tablet, did: 'gave the tablet back' }, async ({ me, event }) => {
  await beginSession(event, { kiosk: { ...me, turn: await nextTurn(me.tabletId), student: null } })
})
