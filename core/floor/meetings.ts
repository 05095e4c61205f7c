import {
  dayOffOn,
  daysAfter,
  daysBetween,
  minuteInDay,
  minuteOf,
  TURNS,
  weekdayName,
  type ClassDay,
  type DaysOff,
} from '../calendar'
import type { DayMeeting } from './attendance'

/** When a section meets: on which days of the week, between which days, and on which of them it does not. */
export interface Meets {
  readonly meetings: readonly (DayMeeting & { readonly weekday: string })[]
  readonly termFrom: ClassDay
  readonly termTo: ClassDay
  readonly daysOff: readonly DaysOff[]
}

/** The days of the week on which a section meets, each once. */
export const meetingDays = ({ meetings }: Pick<Meets, 'meetings'>): string[] => [
  ...new Set(meetings.map(meeting => meeting.weekday)),
]

/**
 * When a section meets on a day: from its first meeting to the end of its last; null where it does not, and on a day
 * off.
 * @param turnsAt the hour on the wall at which a class day begins; midnight where it is left out
 * @example meetingOn({ meetings: [{ weekday: 'Mon', from: '18:00', to: '21:00' }], daysOff: [] }, '2026-10-05')?.from
 *   // '18:00'
 */
export function meetingOn(
  { meetings, daysOff }: Pick<Meets, 'meetings' | 'daysOff'>,
  day: ClassDay,
  turnsAt = 0,
): DayMeeting | null {
  if (dayOffOn(daysOff, day)) return null
  const inOrder = (times: readonly string[]) =>
    [...times].sort((a, b) => minuteInDay(a, turnsAt) - minuteInDay(b, turnsAt))
  const own = meetings.filter(meeting => meeting.weekday === weekdayName(day))
  if (own.length === 0) return null
  return {
    from: inOrder(own.map(one => one.from))[0]!,
    to: inOrder(own.map(one => one.to)).at(-1)!,
  }
}

/**
 * Whether a meeting lies within one class day: it begins when that has begun, and ends before the next.
 * @param turnsAt the hour on the wall at which a class day begins; left out, whether it would at some hour
 * @example meetingFits({ from: '22:00', to: '01:00' }, 4) // true; at 0 it would end on another day
 */
export const meetingFits = ({ from, to }: DayMeeting, turnsAt?: number): boolean =>
  (turnsAt === undefined ? TURNS : [turnsAt]).some(
    turn => minuteOf(from) >= 60 * turn && minuteInDay(to, turn) > minuteOf(from),
  )

/**
 * When a section meets, in words: days with the same hours together.
 * @example sayMeetings([{ weekday: 'Mon', from: '18:00', to: '21:00' }]) // 'Mon 18:00–21:00'
 */
export function sayMeetings(meetings: Meets['meetings']): string {
  const daysAt = new Map<string, string[]>()
  for (const { weekday, from, to } of meetings)
    daysAt.set(`${from}–${to}`, [...(daysAt.get(`${from}–${to}`) ?? []), weekday])
  return [...daysAt].map(([hours, days]) => `${days.join(', ')} ${hours}`).join('; ')
}

/** As far as a class day is looked for: over the longest summer. */
const MOST_DAYS = 120

/**
 * The nearest class day of the term before a day or after it; null where the term has none within four months.
 * @param step 1 for after, -1 for before
 */
export function classDayBeside(section: Meets, day: ClassDay, step: 1 | -1): ClassDay | null {
  for (let n = 1; n <= MOST_DAYS; n++) {
    const looked = daysAfter(day, step * n)
    if (looked >= section.termFrom && looked <= section.termTo && meetingOn(section, looked)) return looked
  }
  return null
}

/** How many classes a section has between two days of its term, both among them, were none of them off. */
export function classesBetween(section: Meets, from: ClassDay, to: ClassDay): number {
  const first = from < section.termFrom ? section.termFrom : from
  const last = to > section.termTo ? section.termTo : to
  const days = meetingDays(section)
  return Array.from({ length: Math.max(0, daysBetween(first, last) + 1) }, (_, n) => daysAfter(first, n)).filter(day =>
    days.includes(weekdayName(day)),
  ).length
}
