import { cholesky, fitLogistic, logistic, type LogisticBelief } from '../statistics'
import { alike } from './alikeTries'
import { LIES, type Trial, type SkillCell } from './trials'
import { features, type SchoolCurve, type When } from './schoolCurve'

/**
 * One student's skill at one element: how far off the school's curve, in all, as the pool lies, and in how fast it
 * is learned.
 */
export interface Skill {
  readonly curve: SchoolCurve
  readonly belief: LogisticBelief
  /** Coupons it rests on. */
  readonly coupons: number
}

/** A rate with its interval, each 0 to 1. */
export interface SkillRate {
  readonly rate: number
  readonly low: number
  readonly high: number
}

/** How much a mock test counts against a practice coupon. Common practice. */
export const MOCK_COUNTS = 2
/**
 * How far one lie may be off a student's own level, and how far learning may be faster or slower, logit. Held-out
 * prediction is nearly flat from 0.2 to 0.35, and from 0.1 to 0.35.
 */
const BY_LIE = 0.25
const BY_PACE = 0.15

const offsets = (cell: SkillCell, when: When): number[] => [
  1,
  ...LIES.map(lie => (cell.lie === lie ? 1 : 0)),
  Math.log1p(when.beforeHere),
]

/**
 * A student's skill at an element, from everything tried of it: recent work counts more, a mock test counts double,
 * and where there is little to go by
 * it leans on the student's other work and on the school.
 * Model: logistic regression with normal offsets around the school's curve (empirical Bayes), posterior by Laplace.
 * @param rows of this student and element
 * @param today days since 1970 began
 * @param halfLifeDays after which a coupon counts half
 * @example skillFrom(startingCurve('restart'), [], today, 60).belief.mean[0] // 0: nothing is known of this student
 */
export function skillFrom(curve: SchoolCurve, rows: readonly Trial[], today: number, halfLifeDays: number): Skill {
  const prior = [
    { mean: 0, deviation: curve.spread },
    ...LIES.map(() => ({ mean: 0, deviation: BY_LIE })),
    { mean: 0, deviation: BY_PACE },
  ]
  // What the school's curve says enters as a coefficient that is held at one.
  const belief = fitLogistic(
    rows.map(row => {
      const weight =
        alike(row.tried) * 0.5 ** (Math.max(0, today - row.day) / halfLifeDays) * (row.mock ? MOCK_COUNTS : 1)
      return {
        x: [...offsets(row, row), fromCurve(curve, row, row)],
        tried: row.tried * weight,
        sound: row.sound * weight,
      }
    }),
    [...prior, { mean: 1, deviation: 1e-6 }],
  )
  const size = prior.length
  return {
    curve,
    coupons: rows.length,
    belief: {
      mean: belief.mean.slice(0, size),
      covariance: belief.covariance.slice(0, size).map(row => row.slice(0, size)),
    },
  }
}

function dot(a: readonly number[], b: readonly number[]): number {
  let sum = 0
  for (let i = 0; i < a.length; i++) sum += a[i]! * b[i]!
  return sum
}
/** What the school's curve says of a cell, logit: as its reader would find it, or at the school's own level. */
const fromCurve = (curve: SchoolCurve, cell: SkillCell & Pick<Trial, 'reader'>, when: When) =>
  dot(features(cell, when), curve.weights) + (cell.reader === undefined ? 0 : (curve.readers[cell.reader]?.mean ?? 0))

/** Where a cell stands on the logit scale: mean and standard deviation. */
export function logitOf({ curve, belief }: Skill, cell: SkillCell, when: When): { mean: number; deviation: number } {
  const x = offsets(cell, when)
  const variance = x.reduce((sum, a, i) => sum + a * dot(x, belief.covariance[i]!), 0)
  return { mean: fromCurve(curve, cell, when) + dot(x, belief.mean), deviation: Math.sqrt(Math.max(0, variance)) }
}

/**
 * The rate of sound tries in a cell, with its 95 % interval: what the next coupon is expected to bring.
 * The mean over the logit's normal is taken by the usual probit approximation (MacKay 1992).
 * @example skillRate(skill, { element: 'restart', lie: '3G', … }, { before: 40, beforeHere: 6, restDays: 2 }) // {
 *   rate: 0.71, low: 0.55, high: 0.83 }
 */
export function skillRate(skill: Skill, cell: SkillCell, when: When): SkillRate {
  const { mean, deviation } = logitOf(skill, cell, when)
  const reach = 1.959964 * deviation
  return {
    rate: logistic(mean / Math.sqrt(1 + (Math.PI * deviation ** 2) / 8)),
    low: logistic(mean - reach),
    high: logistic(mean + reach),
  }
}

/**
 * Draws a student: one set of offsets that the evidence allows. Rates of different lies drawn from it go together
 * as they do in the student.
 * @param normals as many standard normal draws as there are offsets
 * @returns the logit of a cell for the student drawn
 */
export function drawSkill(
  { curve, belief }: Skill,
  normals: readonly number[],
): (cell: SkillCell, when: When) => number {
  const lower = cholesky(belief.covariance)
  const drawn = belief.mean.map(
    (mean, i) => mean + lower[i]!.reduce((sum, value, j) => sum + value * (normals[j] ?? 0), 0),
  )
  return (cell, when) => fromCurve(curve, cell, when) + dot(offsets(cell, when), drawn)
}

/** How many normal draws a student takes. */
export const SKILL_OFFSETS = 1 + LIES.length + 1
