import { fitLogistic } from '../statistics'
import { withHistory, type Tried, type Trial } from './trials'
import { fitSchoolCurve, type SchoolCurve } from './schoolCurve'
import { skillFrom, skillRate } from './skill'

/** A rule that says the chance of a sound try on a coupon from what came before it. */
export type Predictor = 'skill' | 'last ten' | 'cohort' | 'cumulative'

/**
 * How well predictions came true: the mean squared error of each single try, and the slope of what came true on
 * what was said (logit scale; 1 is right).
 */
export interface PredictionScore {
  readonly brier: number
  readonly slope: number
  readonly tries: number
}

/** Rates from few tries are held off nought and one, as if one of two more had been sound. */
const smoothed = (sound: number, tried: number) => (sound + 1) / (tried + 2)

/**
 * Goes through students' coupons one by one and has each rule predict the next from those before it.
 * The school's curve is the one of other students, so that no student is predicted from the own future.
 * @param students oldest first, a list a student; one element
 * @param others whom the school's curve and the cohort's rate are taken from
 */
export function predictNext(
  students: readonly (readonly Tried[])[],
  others: readonly (readonly Tried[])[],
  halfLifeDays: number,
): Record<Predictor, PredictionScore> {
  const curve = fitSchoolCurve(students[0]![0]!.element, others.map(withHistory))
  const cohort = rateOf(others.flat())
  const said: Record<Predictor, { p: number; tried: number; sound: number }[]> = {
    'skill': [],
    'last ten': [],
    'cohort': [],
    'cumulative': [],
  }
  for (const rows of students.map(withHistory)) {
    rows.forEach((row, n) => {
      const past = rows.slice(0, n)
      for (const [rule, p] of Object.entries(guesses(past, row, curve, cohort, halfLifeDays)) as [Predictor, number][])
        said[rule].push({ p, tried: row.tried, sound: row.sound })
    })
  }
  return Object.fromEntries(Object.entries(said).map(([rule, rows]) => [rule, score(rows)])) as Record<
    Predictor,
    PredictionScore
  >
}

const rateOf = (rows: readonly { readonly tried: number; readonly sound: number }[]) =>
  smoothed(
    rows.reduce((sum, row) => sum + row.sound, 0),
    rows.reduce((sum, row) => sum + row.tried, 0),
  )

function guesses(
  past: readonly Trial[],
  next: Trial,
  curve: SchoolCurve,
  cohort: number,
  halfLifeDays: number,
): Record<Predictor, number> {
  return {
    'skill': skillRate(skillFrom(curve, past, next.day, halfLifeDays), next, next).rate,
    'last ten': rateOf(past.slice(-10)),
    'cohort': cohort,
    'cumulative': rateOf(past),
  }
}

/** Brier score a try, and the slope of a logistic regression of outcome on the logit of what was said. */
export function score(
  rows: readonly { readonly p: number; readonly tried: number; readonly sound: number }[],
): PredictionScore {
  const tries = rows.reduce((sum, row) => sum + row.tried, 0)
  const brier =
    rows.reduce((sum, { p, tried, sound }) => sum + sound * (1 - p) ** 2 + (tried - sound) * p ** 2, 0) / tries
  return { brier, tries, slope: slopeOf(rows) }
}

function slopeOf(rows: readonly { readonly p: number; readonly tried: number; readonly sound: number }[]): number {
  const wide = { mean: 0, deviation: 100 }
  return fitLogistic(
    rows.map(({ p, tried, sound }) => ({ x: [1, Math.log(p / (1 - p))], tried, sound })),
    [wide, wide],
  ).mean[1]!
}
