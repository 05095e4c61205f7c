import { useBlindReadings } from '~/stores/blindReadings'
import { useSession } from '~/stores/session'

/** Everyone signs in first; a student is shown that student's own record, and where students read. */
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
  if (session.me.role === 'student') {
    const own = `/record/${session.me.studentId}`
    if (!to.path.startsWith(own) && !FOR_STUDENTS.includes(to.path)) return navigateTo(own)
  }
})

/** What a tablet shows that was handed over: where students read, or the class on a wall screen. */
const FOR_TABLETS = ['/kiosk', '/wall']

const atTablet = (path: string) =>
  FOR_TABLETS.includes(path) || (path === '/reading-room' && useBlindReadings().kiosk?.studentId)
    ? undefined
    : navigateTo('/kiosk')

/** Where a student reads: own coupons, and beads shown for practice. */
const FOR_STUDENTS = ['/kiosk', '/reading-room']

/** Whether this is the tablet that was handed over to a section's students; without a server, as it was known. */
const isTablet = () =>
  useBlindReadings()
    .askKiosk()
    .then(
      () => true,
      () => false,
    )
