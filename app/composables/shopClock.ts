import { computed, readonly, ref } from 'vue'
import { useNow } from '@vueuse/core'
import { classDayAt, dayBegan, MACHINE_CLOCK, wallClockAt, type ClassDay, type SchoolClock } from '~~/core/calendar'

/** Until the school has said where it stands, the browser's own zone counts. */
const clock = ref<SchoolClock>(MACHINE_CLOCK)

/** The clock on the shop's wall, as the school set it. */
export const shopClock = readonly(clock)

/** Sets the clock on the shop's wall, as the server told it. */
export function setShopClock({ timeZone, dayTurnsAt }: { readonly timeZone: string; readonly dayTurnsAt: number }) {
  clock.value = { zone: timeZone, turnsAt: dayTurnsAt }
}

/** The class day: the day on the shop's wall, not in UTC, and not where a tablet thinks it is. */
export const today = (now = new Date()): ClassDay => classDayAt(now, clock.value)

/** When this class day began. */
export const todayBegan = (now = new Date()): Date => dayBegan(now, clock.value)

/** The time on the shop's wall: `18:05`. */
export const clockNow = (now = new Date()): string => wallClockAt(now, clock.value.zone)

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
