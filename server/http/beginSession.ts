import type { H3Event } from 'h3'
import type { User, UserSession } from '#auth-utils'
import { beginSignIn, endSignIn } from '../store/signIns'
import { endTablet } from '../store/tablets'
import { deviceOf } from './deviceOf'

/**
 * Puts one session in place of the one that was there: a person signed in, or a tablet handed over, never both.
 * Both keys are written out: clearing alone lets the request's old cookie be merged in again.
 */
export async function beginSession(
  event: H3Event,
  session: { readonly user: Omit<User, 'signIn'> } | { readonly kiosk: NonNullable<UserSession['kiosk']> },
): Promise<void> {
  const { user, kiosk } = await getUserSession(event)
  // What this browser was before is over on the server too, and not only in the browser: a kept cookie opens nothing.
  if (user?.signIn) await endSignIn(user.id, user.signIn)
  if (kiosk && !('kiosk' in session)) await endTablet(kiosk.tabletId)
  const begun = 'user' in session ? { user: await beginSignIn(session.user, deviceOf(event)) } : session
  await replaceUserSession(event, { user: undefined, kiosk: undefined, ...begun })
}
