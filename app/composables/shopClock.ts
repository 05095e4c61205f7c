import { computed, ref } from 'vue'
import { useNow } from '@vueuse/core'
import { classDayAt, dayBegan, wallClockAt, type ClassDay } from '~~/core/calendar'

/** Where the school stands; empty until it has said, and then the browser's own zone counts. */
const zone = ref('')

/** Sets the clock on the shop's wall. @param timeZone IANA zone; empty for the browser's own */
export function setShopZone(timeZone: string): void {
  zone.value = timeZone
}

/** The class day: the day on the shop's wall, not in UTC, and not where a tablet thinks it is. */
export const today = (now = new Date()): ClassDay => classDayAt(now, zone.value)

/** When this class day began. */
export const todayBegan = (now = new Date()): Date => dayBegan(now, zone.value)

/** The time on the shop's wall: `18:05`. */
export const clockNow = (now = new Date()): string => wallClockAt(now, zone.value)

/** A moment as the time on the shop's wall: `18:05`. */
export const wallTime = (moment: string): string => clockNow(new Date(moment))

/** The class day of a moment. */
export const dayOf = (moment: string): ClassDay => today(new Date(moment))

/** The moment now, UTC, anew every second: for clocks that are looked at. */
export function useMoment() {
  const now = useNow({ interval: 1000 })
  return computed(() => now.value.toISOString())
}

/** Minutes as a clock shows them. @example clockOf(83.5) // '1:23:30' */
export function clockOf(minutes: number): string {
  const seconds = Math.floor(minutes * 60)
  const two = (value: number) => String(value).padStart(2, '0')
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor((seconds % 3600) / 60), seconds % 60]
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`
}
