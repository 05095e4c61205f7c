import { useBlindReadings } from '~/stores/blindReadings'
import { useSession } from '~/stores/session'

/** Everyone signs in first; a student is shown what is that student's own, where students read, and the set-up. */
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
    const rooms = [`/record/${session.me.studentId}`, ...FOR_STUDENTS]
    if (!rooms.some(room => to.path === room || to.path.startsWith(`${room}/`))) return navigateTo('/today')
  }
})

/** What a tablet shows that was handed over: where students read, or the class on a wall screen. */
const FOR_TABLETS = ['/kiosk', '/wall']

const atTablet = (path: string) =>
  FOR_TABLETS.includes(path) || (path === '/reading-room' && useBlindReadings().kiosk?.studentId)
    ? undefined
    : navigateTo('/kiosk')

/** What is open to a student beside the own record: the own page, own coupons and shown beads, and the set-up. */
const FOR_STUDENTS = ['/today', '/kiosk', '/reading-room', '/set-up']

/** Whether this is the tablet that was handed over to a section's students; without a server, as it was known. */
const isTablet = () =>
  useBlindReadings()
    .askKiosk()
    .then(
      () => true,
      () => false,
    )
