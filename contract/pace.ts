import type { Pace, Timetable } from '../core/readiness'

/** How fast a student comes on, and when the section meets. */
export interface StudentPace {
  /** Null where nothing was run in the last classes. */
  readonly pace: Pace | null
  readonly timetable: Timetable
}
