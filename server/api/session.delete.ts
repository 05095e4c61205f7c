import { anyone } from '../http/access'
import { defineRoute } from '../http/defineRoute'
import { endTablet } from '../store/tablets'
import { endSignIn } from '../store/signIns'

/** Ends the sign-in of this browser, or the handing over of this tablet. */
export default defineRoute({ who: anyone, did: 'signed out' }, async ({ event }) => {
  const { user, kiosk } = await getUserSession(event)
  if (user?.signIn) await endSignIn(user.id, user.signIn)
  if (kiosk) await endTablet(kiosk.tabletId)
  await clearUserSession(event)
})
