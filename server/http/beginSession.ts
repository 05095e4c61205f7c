import type { H3Event } from 'h3'
import type { User, UserSession } from '#auth-utils'

/**
 * Puts one session in place of whatever was there: a person signed in, or a tablet handed over, never both.
 * Both keys are written out: clearing alone lets the request's old cookie be merged in again.
 */
export async function beginSession(
  event: H3Event,
  session: { readonly user: User } | { readonly kiosk: NonNullable<UserSession['kiosk']> },
): Promise<void> {
  await replaceUserSession(event, { user: undefined, kiosk: undefined, ...session })
}
