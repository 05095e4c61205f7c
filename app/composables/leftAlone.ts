import { useIntervalFn } from '@vueuse/core'
import { secondsUntouched } from '~/stores/lastTouch'
import { useSession } from '~/stores/session'

const LOOK_MS = 5_000

/**
 * Signs out a screen that was not touched for as long as the school allows, so that no record stands open in an
 * empty shop. What was begun on the Bench waits in the browser for the one who began it.
 */
export function useLeftAlone() {
  const session = useSession()
  const route = useRoute()
  const { pause } = useIntervalFn(async () => {
    const minutes = session.me?.idleMinutes
    if (!minutes || secondsUntouched() < 60 * minutes) return
    pause()
    // A server that is away has signed it out by itself by then.
    await session.signOut().catch(() => {})
    window.location.assign(`/sign-in?to=${encodeURIComponent(route.fullPath)}`)
  }, LOOK_MS)
}
