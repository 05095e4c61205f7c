import { useIntervalFn } from '@vueuse/core'

/** A stopwatch on the arc: strike starts it, break stops it. */
export function useArcClock() {
  const struckAt = ref<number | null>(null)
  const now = ref(0)
  const { pause, resume } = useIntervalFn(
    () => {
      now.value = performance.now()
    },
    100,
    { immediate: false },
  )

  function strike(): void {
    now.value = performance.now()
    struckAt.value = now.value
    resume()
  }
  /** Stops the clock. @returns arc time, s; null when it was not running */
  function breakArc(): number | null {
    if (struckAt.value === null) return null
    const seconds = (performance.now() - struckAt.value) / 1000
    struckAt.value = null
    pause()
    return seconds
  }
  const burning = computed(() => struckAt.value !== null)
  const seconds = computed(() => (struckAt.value === null ? 0 : (now.value - struckAt.value) / 1000))
  return { burning, seconds, strike, breakArc }
}
