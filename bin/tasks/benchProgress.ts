import { DEFAULT_HOUSE_RULES as rules } from '../../core/house'
import { predictNext, standingOf, withHistory, type Tried, type PredictionScore } from '../../core/progress'
import { testPieceOf } from '../../core/qualification'
import { beginOutlook, testPlan, habitsOf, recalibrate, type OutlookCase } from '../../core/readiness'
import { drawCohort, type CohortPlan } from '../../core/simulate'
import { seededRandom, quantile } from '../../core/statistics'
import { growSchool } from '../../demo/gannetQuay'
import { triedBy } from '../../demo/triedBy'
import { ms, timed } from './timed'

/**
 * Predictions of each next coupon's restarts beside three simple averages, on seeds that nothing was fitted to;
 * then how long the odds of a test take.
 */
function report(name: string, scores: Record<string, PredictionScore>): void {
  console.log(
    `${name}: ${Object.entries(scores)
      .map(([rule, { brier, slope }]) => `${rule} ${brier.toFixed(4)} (slope ${slope.toFixed(2)})`)
      .join(', ')}`,
  )
}

/** The made-up school's restarts, coupon by coupon. */
const schoolRestarts = (seed: number): Tried[][] =>
  growSchool(seed, '2026-11-22')
    .flatMap(section => section.students)
    .map(student => triedBy(student).filter(row => row.element === 'restart'))
    .filter(rows => rows.length > 0)

console.log('next coupon’s restarts, Brier score a try (lower is better) and calibration slope (aim 0.9 to 1.1):')
report('  the made-up school, another seed', predictNext(schoolRestarts(101), schoolRestarts(202), rules.halfLifeDays))
for (const law of ['power', 'steps'] as const) {
  for (const breakDays of [0, 35]) {
    const plan: CohortPlan = { students: 40, coupons: 70, law, breakDays }
    report(
      `  ${law} learners${breakDays > 0 ? `, a break of ${breakDays} days` : ''}`,
      predictNext(drawCohort(plan, seededRandom(31)), drawCohort(plan, seededRandom(32)), rules.halfLifeDays),
    )
  }
}

const A_SECOND = 1000
const NONE = { bent: 0, opened: 0 }
const [rows] = drawCohort({ students: 1, coupons: 70, law: 'power', breakDays: 0 }, seededRandom(5))
const standing = standingOf({}, withHistory(rows!), rules.halfLifeDays)
const wanted = (id: string): OutlookCase => ({
  plan: testPlan(testPieceOf(id), rules),
  candidate: { standing, curves: {}, today: rows!.at(-1)!.day, more: 0 },
  habits: habitsOf(
    { own: standing.wrong, school: standing.wrong, bends: NONE, schoolBends: NONE },
    { criteriaId: 'd1.1 welder', work: 'plate' },
  ),
  recalibration: recalibrate([]),
  seed: 1,
})
const taken = { 'pipe-6-6g': [] as number[], 'plate-3g': [] as number[] }
for (let n = 0; n < 12; n++)
  for (const id of ['pipe-6-6g', 'plate-3g'] as const)
    taken[id].push(await timed(() => beginOutlook(wanted(id)).run(5000)))
const [pipe, plate] = [quantile(taken['pipe-6-6g'].slice(2), 0.95), quantile(taken['plate-3g'].slice(2), 0.95)]
console.log(
  `5,000 attempts at a 6G pipe (${wanted('pipe-6-6g').plan.tasks.length} tasks): p95 ${(pipe / A_SECOND).toFixed(2)} of a second, ${(pipe / plate).toFixed(2)} times a 3G plate (${ms(plate)})`,
)
