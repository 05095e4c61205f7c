import { useNow } from '@vueuse/core'
import { clockNow } from './classDay'

/** The moment now, UTC, anew every second: for clocks that are looked at. */
export function useMoment() {
  const now = useNow({ interval: 1000 })
  return computed(() => now.value.toISOString())
}

/** A moment as the time on the shop's wall: `18:05`. */
export const wallTime = (moment: string): string => clockNow(new Date(moment))

/** Minutes as a clock shows them. @example clockOf(83.5) // '1:23:30' */
export function clockOf(minutes: number): string {
  const seconds = Math.floor(minutes * 60)
  const two = (value: number) => String(value).padStart(2, '0')
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor((seconds % 3600) / 60), seconds % 60]
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`
}
