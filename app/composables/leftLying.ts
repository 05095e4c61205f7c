import { useIdle } from '@vueuse/core'
import { useBlindReadings } from '~/stores/blindReadings'
import { useSession } from '~/stores/session'

const LEFT_LYING_MS = 5 * 60_000

/**
 * A tablet left lying is put down after five minutes. Answers whether a student holds the shared
 * tablet.
 */
export function useLeftLying(putDown: () => unknown) {
  const readings = useBlindReadings()
  const session = useSession()
  const held = computed(() => session.me?.role === undefined && Boolean(readings.kiosk?.studentId))
  const { idle } = useIdle(LEFT_LYING_MS)
  watch(idle, lying => lying && held.value && putDown())
  return held
}
