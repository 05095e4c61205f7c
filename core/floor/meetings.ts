import { daysAfter, weekdayName, type ClassDay } from '../calendar'
import type { DayMeeting } from './attendance'

/** When a section meets: on which days of the week, and between which days. */
export interface Meets {
  readonly meetings: readonly (DayMeeting & { readonly weekday: string })[]
  readonly termFrom: ClassDay
  readonly termTo: ClassDay
}

/**
 * When a section meets on a day: from its first meeting to the end of its last; null where it does not.
 * @example meetingOn({ meetings: [{ weekday: 'Mon', from: '18:00', to: '21:00' }] }, '2026-10-05')?.from // '18:00'
 */
export function meetingOn({ meetings }: Pick<Meets, 'meetings'>, day: ClassDay): DayMeeting | null {
  const own = meetings.filter(meeting => meeting.weekday === weekdayName(day))
  if (own.length === 0) return null
  return {
    from: own.map(one => one.from).sort()[0]!,
    to: own
      .map(one => one.to)
      .sort()
      .at(-1)!,
  }
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
