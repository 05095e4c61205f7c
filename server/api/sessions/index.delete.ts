import { cameIn } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { endSessions } from '../../store/accounts'

/** Signs out everywhere: every session of this account ends, this one too. */
export default defineRoute({ who: cameIn, did: 'signed out everywhere' }, async ({ me, event }) => {
  await endSessions(me.id)
  await clearUserSession(event)
})
