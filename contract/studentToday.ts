import type { ClassDay } from '../core/calendar'
import type { Verdict } from '../core/coupon'
import type { DayMeeting } from '../core/floor'
import type { DayStudent } from './day'
import type { Student } from './people'

/** What a student's own page opens with: today's class, the booth, and which coupon was read last. */
export interface StudentToday {
  readonly student: Student
  readonly section: string
  readonly classDay: ClassDay
  /** Null where the section does not meet today. */
  readonly meeting: DayMeeting | null
  /** What today is free for; null where it is no day off. */
  readonly dayOff: string | null
  /** The next class day; null where the term has none. */
  readonly nextClass: ClassDay | null
  readonly planned: DayStudent['planned']
  /** What the arc at the own booth has more than its panel says, A; null where no clamp meter was held to it. */
  readonly panelOffsetA: number | null
  /** The coupon read last, null before the first; its verdict is null until the student has seen what was said. */
  readonly newest: {
    readonly couponId: string
    readonly classDay: ClassDay
    readonly verdict: Verdict | null
  } | null
}
