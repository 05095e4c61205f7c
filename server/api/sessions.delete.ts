import { defineEventHandler, sendNoContent } from 'h3'
import { requireSignedIn } from '../http/access'
import { endSessions } from '../store/accounts'

/** Signs out everywhere: every session of this account ends, this one too. */
export default defineEventHandler(async event => {
  const me = await requireSignedIn(event)
  await endSessions(me.id)
  await clearUserSession(event)
  return sendNoContent(event)
})
