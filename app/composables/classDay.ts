const two = (value: number) => String(value).padStart(2, '0')

/** Today's local date, ISO 8601: the class day is the day on the shop's wall, not in UTC. */
export function today(now = new Date()): string {
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`
}

/** The time on the shop's wall: `18:05`. */
export function clockNow(now = new Date()): string {
  return `${two(now.getHours())}:${two(now.getMinutes())}`
}

/** A class day as people write it: `Mon 5 Oct`. */
export function spokenDay(day: string): string {
  return new Date(`${day}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })
}

/** A day that may be of another year: `Mon 5 Oct 2026`. */
export const longDay = (day: string): string => `${spokenDay(day)} ${day.slice(0, 4)}`
