import { useSession, type H3Event } from 'h3'
import type { BegunSignIn } from './provider'

const MINUTES_TO_SIGN_IN = 10

/** A sealed cookie of its own, from when a person is sent to the provider until they come back. */
export const providerSession = (event: H3Event) =>
  useSession<Partial<BegunSignIn>>(event, {
    name: `${useRuntimeConfig(event).session.name}-provider`,
    password: useRuntimeConfig(event).session.password,
    maxAge: 60 * MINUTES_TO_SIGN_IN,
    cookie: { sameSite: 'lax', httpOnly: true, secure: process.env.FUSILIS_TLS === '1', path: '/api/session/provider' },
  })
