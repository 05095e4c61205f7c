import type { H3Event } from 'h3'
import type { User, UserSession } from '#auth-utils'
import { beginSignIn } from '../store/signIns'
import { deviceOf } from './deviceOf'

/**
 * Puts one session in place of whatever was there: a person signed in, or a tablet handed over, never both.
 * Both keys are written out: clearing alone lets the request's old cookie be merged in again.
 */
export async function beginSession(
  event: H3Event,
  session: { readonly user: Omit<User, 'signIn'> } | { readonly kiosk: NonNullable<UserSession['kiosk']> },
): Promise<void> {
  const begun = 'user' in session ? { user: await beginSignIn(session.user, deviceOf(event)) } : session
  await replaceUserSession(event, { user: undefined, kiosk: undefined, ...begun })
}
