const A_DAY = 24 * 60

/** Minutes since midnight of a time on the shop's wall. @example minuteOf('18:30') // 1110 */
export const minuteOf = (wall: string): number => {
  const [hours, minutes] = wall.split(':').map(Number)
  return hours! * 60 + minutes!
}

/**
 * Minutes since midnight of the day that a class day began on: past midnight it goes on counting.
 * @param turnsAt the hour on the wall at which a class day begins
 * @example minuteInDay('00:30', 4) // 1470
 */
export const minuteInDay = (wall: string, turnsAt: number): number =>
  minuteOf(wall) + (minuteOf(wall) < 60 * turnsAt ? A_DAY : 0)

/** @example minutesBetween('18:00', '21:00') // 180; past midnight: minutesBetween('22:00', '01:00') // 180 */
export const minutesBetween = (from: string, to: string): number => (minuteOf(to) - minuteOf(from) + A_DAY) % A_DAY

/** The time on the wall a number of minutes after another. @example wallAfter('18:00', 75) // '19:15' */
export function wallAfter(from: string, minutes: number): string {
  const at = (minuteOf(from) + minutes) % A_DAY
  return [Math.floor(at / 60), at % 60].map(part => String(part).padStart(2, '0')).join(':')
}
