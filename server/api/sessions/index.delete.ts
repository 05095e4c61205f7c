import { cameIn } from '../../http/access'
import { defineRoute } from '../../http/defineRoute'
import { endSessions } from '../../store/accounts'
import { forgetDevices } from '../../store/knownDevices'
import { endTabletsOf } from '../../store/tablets'

/** Signs out everywhere: every session of this account ends, this one too, and every tablet it handed over. */
export default defineRoute({ who: cameIn, did: 'signed out everywhere' }, async ({ me, event }) => {
  await endSessions(me.id)
  await Promise.all([endTabletsOf(me.id), forgetDevices(me.id)])
  await clearUserSession(event)
})
