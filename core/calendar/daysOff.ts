import { daysAfter, daysBetween, weekdayName, type ClassDay } from './classDay'

/** Days without class, both ends among them: a holiday, the weeks between terms, a day on which the shop is let. */
export interface DaysOff {
  readonly from: ClassDay
  readonly to: ClassDay
  readonly name: string
}

/**
 * What a day is free for; null where there is class as usual. Where two spans hold it, the shorter one names it.
 * @example dayOffOn([{ from: '2026-11-26', to: '2026-11-27', name: 'Thanksgiving' }], '2026-11-26')?.name
 */
export const dayOffOn = (daysOff: readonly DaysOff[], day: ClassDay): DaysOff | null =>
  daysOff
    .filter(({ from, to }) => from <= day && day <= to)
    .sort((a, b) => daysBetween(a.from, a.to) - daysBetween(b.from, b.to))[0] ?? null

/** The days of the week on which there is class, by their short names, and the days on which there is none. */
export interface ClassWeek {
  readonly weekdays: readonly string[]
  readonly daysOff: readonly DaysOff[]
}

const A_WEEK = 7

/**
 * Weeks of class between two days, as far as they are weeks of class: a week of which half of the meetings fall on days
 * off is half a week. Where no day of the week is known, each day counts alike.
 * @param after the day that is past already
 * @param to the last day that counts
 * @returns may be a fraction; 0 where `to` is not after `after`
 * @example weeksOfClass({ weekdays: ['Mon', 'Wed'], daysOff: [] }, '2026-10-04', '2026-10-18') // 2
 */
export function weeksOfClass({ weekdays, daysOff }: ClassWeek, after: ClassDay, to: ClassDay): number {
  const perWeek = weekdays.length === 0 ? A_WEEK : weekdays.length
  const days = Array.from({ length: Math.max(0, daysBetween(after, to)) }, (_, n) => daysAfter(after, n + 1))
  const held = days.filter(
    day => (weekdays.length === 0 || weekdays.includes(weekdayName(day))) && !dayOffOn(daysOff, day),
  )
  return held.length / perWeek
}
