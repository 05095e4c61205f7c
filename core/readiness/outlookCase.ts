import type { SchoolCurves, Standing, Wrong } from '../progress'
import { habitsOf, type Bends } from './habits'
import type { OutlookCase } from './outlook'
import type { SaidBefore } from './sayOdds'
import type { Recalibration } from './recalibration'
import { testedBy, type TestPlan } from './testTasks'

/** Everything that odds of one student are made from, as a school keeps it. */
export interface ReadinessKnown {
  readonly standing: Standing
  readonly curves: SchoolCurves
  /** Bends of this student's tests, and how many of them opened. */
  readonly bends: Bends
  readonly school: SchoolKnown
}

/** What the school as a whole has shown. */
export interface SchoolKnown {
  readonly wrong: Wrong
  readonly bends: Bends
  readonly recalibration: Recalibration
  /** What came of tests, by the odds that were said of them. */
  readonly before: readonly SaidBefore[]
}

/**
 * The case of a student at a test piece, today.
 * @param today days since 1970 began
 * @example outlookCase(progress, testPlan(piece, rules, book), dayNumber(today()), 1)
 */
export const outlookCase = (
  { standing, curves, bends, school }: ReadinessKnown,
  plan: TestPlan,
  today: number,
  seed: number,
): OutlookCase => ({
  plan,
  candidate: { standing, curves, today, more: 0 },
  habits: habitsOf({ own: standing.wrong, school: school.wrong, bends, schoolBends: school.bends }, testedBy(plan)),
  recalibration: school.recalibration,
  seed,
})
