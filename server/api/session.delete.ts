import { anyone } from '../http/access'
import { defineRoute } from '../http/defineRoute'

export default defineRoute({ who: anyone, did: 'signed out' }, async ({ event }) => {
  await clearUserSession(event)
})
