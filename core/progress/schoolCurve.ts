import type { ElementId } from '../grading'
import { fitLogistic } from '../statistics'
import type { Work } from '../trade'
import { LIES, type Trial, type SkillCell } from './trials'

/** What had been practised when something is tried. */
export interface When {
  readonly before: number
  readonly beforeHere: number
  readonly restDays: number
}

/**
 * How sound work comes with practice in a school, for one element: coefficients on the logit scale, and how far
 * students differ.
 */
export interface SchoolCurve {
  readonly element: ElementId
  readonly weights: readonly number[]
  /** Standard deviation between students, logit. */
  readonly spread: number
  /** Coupons it was fitted to; 0 for the curve a school starts with. */
  readonly coupons: number
}

/** Rest of up to a week is class rhythm; beyond it, skill goes with the logarithm of weeks. */
const REST_DAYS = 7

/** What is welded together, each a little apart from the rest. */
const WELDED: readonly Work[] = ['joint', 'fillet', 'groove', 'pipe']

/**
 * What the chance of a sound try depends on: where the pool lies, the work, the rod, the hand and way, practice in
 * all and here, and rest.
 * Practice and rest go in as logarithms: the next coupon teaches less than the last. Source: common practice of
 * learning curves.
 */
export function features(cell: SkillCell, { before, beforeHere, restDays }: When): number[] {
  return [
    1,
    ...LIES.slice(1).map(lie => (cell.lie === lie ? 1 : 0)),
    cell.work === 'plate' ? 0 : 1,
    ...WELDED.map(work => (cell.work === work ? 1 : 0)),
    cell.rodFamily === 'cellulosic' ? 1 : 0,
    cell.otherHand ? 1 : 0,
    cell.otherWay ? 1 : 0,
    Math.log1p(before),
    Math.log1p(beforeHere),
    Math.log1p(Math.max(0, restDays - REST_DAYS) / REST_DAYS),
  ]
}

/**
 * What is believed before a school has coupons: about half sound at first, harder out of position, better with
 * practice. Common practice.
 */
const BEFORE: readonly { readonly mean: number; readonly deviation: number }[] = [
  { mean: 0, deviation: 1 },
  ...[-0.2, -0.4, -0.4, -0.6].map(mean => ({ mean, deviation: 0.5 })),
  { mean: 0, deviation: 0.5 },
  ...WELDED.map(() => ({ mean: 0, deviation: 0.5 })),
  { mean: 0, deviation: 0.3 },
  { mean: -0.5, deviation: 0.4 },
  { mean: -0.2, deviation: 0.4 },
  { mean: 0.2, deviation: 0.3 },
  { mean: 0.3, deviation: 0.3 },
  { mean: -0.3, deviation: 0.3 },
]
const SPREAD = 0.6

/** The curve of an element that a school starts with. */
export const startingCurve = (element: ElementId): SchoolCurve => ({
  element,
  weights: BEFORE.map(row => row.mean),
  spread: SPREAD,
  coupons: 0,
})

/**
 * Tries of one coupon go well or badly together: they count as fewer (design effect with this correlation).
 * Common practice.
 * @example alike(5) // 5 tries count as 3.57
 */
export const alike = (tried: number): number => (tried <= 1 ? 1 : 1 / (1 + (tried - 1) * WITHIN_COUPON))
const WITHIN_COUPON = 0.1

/**
 * Fits the school's curve of one element: what all students have in common, each of them apart by a normal offset.
 * @param students rows of that element, a list a student
 * @example fitSchoolCurve('restart', []).weights // the curve a school starts with
 */
export function fitSchoolCurve(element: ElementId, students: readonly (readonly Trial[])[]): SchoolCurve {
  const own = students.map(rows => rows.filter(row => row.element === element)).filter(rows => rows.length > 0)
  if (own.length === 0) return startingCurve(element)
  const shared = BEFORE.length
  const rows = own.flatMap((list, student) =>
    list.map(row => {
      const share = alike(row.tried)
      return {
        x: [...features(row, row), ...own.map((_, other) => (other === student ? 1 : 0))],
        tried: row.tried * share,
        sound: row.sound * share,
      }
    }),
  )
  const fit = (spread: number) => fitLogistic(rows, [...BEFORE, ...own.map(() => ({ mean: 0, deviation: spread }))])
  // One step of expectation and maximisation is enough to find how far students differ.
  const first = fit(SPREAD)
  const spread = Math.sqrt(
    own.reduce((sum, _, n) => sum + first.mean[shared + n]! ** 2 + first.covariance[shared + n]![shared + n]!, 0) /
      own.length,
  )
  const held = Math.min(1.2, Math.max(0.25, spread))
  return {
    element,
    weights: fit(held).mean.slice(0, shared),
    spread: held,
    coupons: new Set(own.flat().map(row => row.couponId)).size,
  }
}
