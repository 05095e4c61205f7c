import { dayNumber } from '../core/calendar'
import { shippedBook, testPieceOf } from '../core/qualification'
import { forecastCoupons, HORIZON, outlookCase, testPlan, type Forecast } from '../core/readiness'
import { mean } from '../core/statistics'
import { growSchool, SCHOOL_RULES } from './gannetQuay'
import { LAST_DAY, piecesFor, take, TEST_DAY, whatIsKnown } from './readinessTrial'
import type { World } from './worlds'

export interface ForecastTrial {
  readonly world: World
  readonly seed: number
  readonly students: number
  /** Odds wanted, 0 to 1. */
  readonly target: number
  /** Tests taken at each step ahead, and attempts that a forecast rests on. */
  readonly tests: number
  readonly attempts: number
}

/** What was said of the coupons still to run, beside how many it took; null beyond the horizon. */
export interface ForecastPair {
  readonly forecast: Forecast
  readonly took: number | null
}

/**
 * Coupons until the odds wanted, said and taken: of every student at a piece within reach who is not there yet. How
 * many it takes is found by running them and taking the test at each step. One seed, one answer.
 */
export function tryForecasts({ world, seed, students, target, tests, attempts }: ForecastTrial): ForecastPair[] {
  const school = growSchool(seed, LAST_DAY, world.practice)
    .flatMap(section => section.students)
    .slice(0, students)
  const known = whatIsKnown(school)
  return school.flatMap((student, n) =>
    piecesFor(student).flatMap(({ piece, bookId }, m) => {
      const plan = testPlan(testPieceOf(piece), SCHOOL_RULES, shippedBook(bookId))
      const forecast = forecastCoupons(outlookCase(known[n]!, plan, dayNumber(TEST_DAY), 1), target, attempts)
      if (forecast.likely === 0) return []
      const asked = { student, piece, bookId, seed: 1000 * n + 10 * m + seed }
      return [{ forecast, took: HORIZON.find(more => take(world, asked, tests, more).passed >= target) ?? null }]
    }),
  )
}

/** How well what was said came true, as shares of the pairs. */
export interface ForecastScore {
  readonly pairs: number
  /** It took no fewer than was said at the earliest, and no more than at the latest. */
  readonly held: number
  readonly sooner: number
  readonly later: number
}

const beyond = (coupons: number | null) => coupons ?? Infinity

export function scoreForecasts(pairs: readonly ForecastPair[]): ForecastScore {
  const share = (is: (pair: ForecastPair) => boolean) => mean(pairs.map(pair => (is(pair) ? 1 : 0)))
  const sooner = share(({ forecast, took }) => beyond(took) < beyond(forecast.early))
  const later = share(({ forecast, took }) => beyond(took) > beyond(forecast.late))
  return { pairs: pairs.length, held: 1 - sooner - later, sooner, later }
}
