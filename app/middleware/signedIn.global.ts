import { mayEnter, railOf } from '~/rooms/rooms'
import { useBlindReadings } from '~/stores/blindReadings'
import { useSession } from '~/stores/session'

/** Everyone signs in first, and is led to the first of the own rooms from where they may not be. */
export default defineNuxtRouteMiddleware(async to => {
  const session = useSession()
  if (to.path === '/sign-in') return
  try {
    await session.ask()
  } catch {
    if (await isTablet()) return atTablet(to.path)
    // The server is away: an instructor who was on the bench goes on from the draft in this browser.
    return to.path === '/away' ? undefined : navigateTo({ path: '/away', query: { to: to.fullPath } })
  }
  if (!session.me && (await isTablet())) return atTablet(to.path)
  if (!session.me) return navigateTo({ path: '/sign-in', query: to.fullPath === '/' ? {} : { to: to.fullPath } })
  if (session.me.passwordGiven)
    return to.path === '/own-password' ? undefined : navigateTo({ path: '/own-password', query: { to: to.fullPath } })
  if (session.me.codesWanted)
    return to.path === '/one-time-codes'
      ? undefined
      : navigateTo({ path: '/one-time-codes', query: { to: to.fullPath } })
  const who = session.me.role === 'student' ? 'student' : 'staff'
  if (!mayEnter(to.path, who, session.me.studentId)) return navigateTo(railOf(who, session.me.studentId)[0]!.to)
})

/** A tablet that was handed over shows where students read, and shown beads to the one who reads at it. */
const atTablet = (path: string) =>
  mayEnter(path, 'tablet', null) || (path === '/reading-room' && useBlindReadings().kiosk?.studentId)
    ? undefined
    : navigateTo('/kiosk')

/** Whether this is the tablet that was handed over to a section's students; without a server, as it was known. */
const isTablet = () =>
  useBlindReadings()
    .askKiosk()
    .then(
      () => true,
      () => false,
    )
