import { useEventSource, useIntervalFn } from '@vueuse/core'
import { computed, toValue, watch, type MaybeRefOrGetter } from 'vue'

/** How often the queue is asked for while no events come through. */
const POLL_MS = 10_000

/**
 * Calls back whenever a section's floor has changed, on whichever screen; the connection comes back by itself. Where
 * no events get through, it asks from time to time.
 * @param changed is told how often the floor has changed by now; null where it is not known
 */
export function useFloorLive(sectionId: MaybeRefOrGetter<string | null>, changed: (serial: number | null) => void) {
  const url = computed(() => {
    const id = toValue(sectionId)
    return id ? `/api/sections/${id}/live` : undefined
  })
  const { data, status } = useEventSource(url, ['floor'] as const, {
    immediate: true,
    autoReconnect: { retries: -1, delay: 2_000 },
  })
  watch(data, serial => changed(serial === null ? null : Number(serial)))
  useIntervalFn(() => {
    if (status.value !== 'OPEN' && toValue(sectionId)) changed(null)
  }, POLL_MS)
}
