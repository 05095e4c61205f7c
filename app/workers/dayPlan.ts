import {
  bestPlan,
  GAP,
  greedyPlan,
  ownPace,
  planScore,
  wantedCoupons,
  type BestPlan,
  type PlanCase,
  type PlannedCoupon,
  type PlanStudent,
} from '~~/core/dayPlan'
import type { HouseRules } from '~~/core/house'
import { outlookCase, proposals, testPlan, whatHelps, type Help, type TestPlan } from '~~/core/readiness'
import type { CodeBook, TestPiece } from '~~/core/qualification'
import type { DayToPlan, StudentToPlan } from '~~/contract/dayPlan'
import { highsSolver } from './highs'

/** What a page asks: what would serve each student; or a plan of a day. */
export type DayPlanAsked =
  | {
      readonly ask: 'coupons'
      readonly known: DayToPlan
      readonly minutes: number
      readonly rules: HouseRules
      readonly book: CodeBook
      /** The test that each student is on the way to. */
      readonly tests: Readonly<Record<string, TestPiece>>
      /** Days since 1970 began. */
      readonly today: number
    }
  | { readonly ask: 'plan'; readonly wanted: PlanCase; readonly before: readonly PlannedCoupon[] }

/** What comes back: how far it is; what would serve; the plan by hand, which stands at once; the best found. */
export type DayPlanSaid =
  | { readonly is: 'under way'; readonly share: number }
  | { readonly is: 'coupons'; readonly students: readonly PlanStudent[] }
  | { readonly is: 'by hand'; readonly lines: readonly PlannedCoupon[]; readonly score: number }
  | { readonly is: 'best'; readonly best: BestPlan }
  | { readonly is: 'failed'; readonly why: string }

const STUDENTS = 200
const SEED = 20260914
/**
 * Longest that a better plan is looked for, s: three times what a large day takes, so that a slow tablet finds the same
 * plan, later. The plan by hand stands meanwhile.
 */
const MOST_SECONDS = 60

const say = (said: DayPlanSaid) => self.postMessage(said)

self.onmessage = ({ data }: MessageEvent<DayPlanAsked>) => {
  const work = data.ask === 'coupons' ? Promise.resolve().then(() => coupons(data)) : plan(data)
  work.catch((error: Error) => say({ is: 'failed', why: error.message }))
}

function coupons(asked: Extract<DayPlanAsked, { ask: 'coupons' }>): void {
  const { known } = asked
  const students = known.students.map((student, n) => {
    const found = serves(student, asked)
    say({ is: 'under way', share: (n + 1) / known.students.length })
    return { id: student.student.id, booth: student.student.booth, coupons: found }
  })
  say({ is: 'coupons', students })
}

function serves(student: StudentToPlan, asked: Extract<DayPlanAsked, { ask: 'coupons' }>) {
  const { known, rules, book, tests, today, minutes } = asked
  const { ladder, curves, school } = known.common!
  const toTest = testPlan(tests[student.student.id]!, rules, book)
  const proposed = proposals({
    ladder: ladder.ladder,
    climb: student.climb,
    helps: helpsOf(student, { curves, school }, toTest, today),
    test: toTest.piece,
    lately: student.lately,
    sameDrillDays: rules.sameDrillDays,
    testJoint: rules.ways.testJoint,
  })
  const pinned = ladder.ladder.rungs.find(rung => rung.id === student.pin?.rungId) ?? null
  const pace = ownPace(student.lately, ladder.ladder, minutes)
  return wantedCoupons({ proposals: proposed, pinned, hand: student.student.hand, minutes, pace, rules })
}

/** A student who has welded nothing yet has nothing to better: the ladder says what comes first. */
const helpsOf = (
  student: StudentToPlan,
  common: Pick<NonNullable<DayToPlan['common']>, 'curves' | 'school'>,
  toTest: TestPlan,
  today: number,
): Help[] =>
  student.standing.coupons === 0 ? [] : whatHelps(outlookCase({ ...student, ...common }, toTest, today, SEED), STUDENTS)

async function plan({ wanted, before }: Extract<DayPlanAsked, { ask: 'plan' }>): Promise<void> {
  const lines = greedyPlan(wanted, before)
  say({ is: 'by hand', lines, score: planScore(wanted, lines, before) })
  const solve = await highsSolver(MOST_SECONDS, { mip_rel_gap: 0, mip_abs_gap: GAP })
  say({ is: 'best', best: bestPlan(wanted, before, solve) })
}
