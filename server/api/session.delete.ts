import { anyone } from '../http/access'
import { defineRoute } from '../http/defineRoute'

export default defineRoute({ who: anyone }, async ({ event }) => {
  await clearUserSession(event)
})
