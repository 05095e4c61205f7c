import { anyone } from '../http/access'
import { defineRoute } from '../http/defineRoute'
import { endSignIn } from '../store/signIns'

export default defineRoute({ who: anyone, did: 'signed out' }, async ({ event }) => {
  const { user } = await getUserSession(event)
  if (user?.signIn) await endSignIn(user.id, user.signIn)
  await clearUserSession(event)
})
