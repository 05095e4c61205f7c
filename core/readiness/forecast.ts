import { beginOutlook, type OutlookCase } from './outlook'
import { quantile } from '../statistics'

/**
 * Coupons still to run until the odds wanted: as the quicker, the middling and the slower of the students whom the
 * evidence allows; null beyond the horizon.
 */
export interface Forecast {
  readonly target: number
  readonly early: number | null
  readonly likely: number | null
  readonly late: number | null
  readonly steps: readonly { readonly coupons: number; readonly odds: number }[]
}

/** How far ahead a forecast looks, coupons. */
export const HORIZON = [0, 3, 6, 10, 15, 20, 30, 45, 60, 90] as const

/**
 * How many coupons like these it takes until a test would go well so often, by the school's own learning curve and
 * how fast this student goes along it.
 * @param target odds wanted, 0 to 1
 * @param attempts at each step
 */
export function forecastCoupons(wanted: OutlookCase, target: number, attempts: number): Forecast {
  const looks = HORIZON.map(coupons => {
    const run = beginOutlook({ ...wanted, candidate: { ...wanted.candidate, more: coupons } })
    run.run(attempts)
    return { coupons, ...run.result() }
  })
  const reach = (share: number) => looks.find(({ spread }) => quantile(spread, share) >= target)?.coupons ?? null
  return {
    target,
    early: reach(0.8),
    likely: reach(0.5),
    late: reach(0.2),
    steps: looks.map(({ coupons, odds }) => ({ coupons, odds })),
  }
}
