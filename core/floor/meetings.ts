import { daysAfter, minuteInDay, minuteOf, TURNS, weekdayName, type ClassDay } from '../calendar'
import type { DayMeeting } from './attendance'

/** When a section meets: on which days of the week, and between which days. */
export interface Meets {
  readonly meetings: readonly (DayMeeting & { readonly weekday: string })[]
  readonly termFrom: ClassDay
  readonly termTo: ClassDay
}

/**
 * When a section meets on a day: from its first meeting to the end of its last; null where it does not.
 * @param turnsAt the hour on the wall at which a class day begins; midnight where it is left out
 * @example meetingOn({ meetings: [{ weekday: 'Mon', from: '18:00', to: '21:00' }] }, '2026-10-05')?.from // '18:00'
 */
export function meetingOn({ meetings }: Pick<Meets, 'meetings'>, day: ClassDay, turnsAt = 0): DayMeeting | null {
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

const A_FORTNIGHT = 14

/**
 * The nearest class day of the term before a day or after it; null where there is none within a fortnight.
 * @param step 1 for after, -1 for before
 */
export function classDayBeside(section: Meets, day: ClassDay, step: 1 | -1): ClassDay | null {
  for (let n = 1; n <= A_FORTNIGHT; n++) {
    const looked = daysAfter(day, step * n)
    if (looked >= section.termFrom && looked <= section.termTo && meetingOn(section, looked)) return looked
  }
  return null
}
