/** Today's local date, ISO 8601: the class day is the day on the shop's wall, not in UTC. */
export function today(now = new Date()): string {
  const two = (value: number) => String(value).padStart(2, '0')
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`
}

/** A class day as people write it: `Mon 5 Oct`. */
export function spokenDay(day: string): string {
  return new Date(`${day}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })
}
