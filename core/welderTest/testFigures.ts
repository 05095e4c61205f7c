import { over, SAME_SHARE } from '../units'
import { binomialInterval, type Interval, mean } from '../statistics'
import type { Retest } from './welderTest'

/** A test that has a result, as far as the section's figures go. */
export interface ResultKept {
  readonly studentId: string
  readonly position: string
  /** The rod that filled. */
  readonly classification: string
  readonly testDay: string
  /** A retest of one that failed. */
  readonly retest: Retest | null
  readonly passed: boolean
  /** Odds of the day it was planned, 0 to 1; null where it was not asked. */
  readonly odds: number | null
}

/** How many of some tests were passed the first time, with the exact interval of the rate. */
export interface FirstTime {
  readonly name: string
  readonly taken: number
  readonly first: number
  readonly passed: number
  /** Of first tries; null when there were none. */
  readonly interval: Interval | null
}

/**
 * Tests by a name of each: how many, how many were first tries, how many of those passed. Retests count as taken
 * only.
 */
export function firstTimeBy<T extends ResultKept>(results: readonly T[], name: (result: T) => string): FirstTime[] {
  return [...new Set(results.map(name))]
    .sort((a, b) => a.localeCompare(b, 'en'))
    .map(one => {
      const own = results.filter(result => name(result) === one)
      const first = own.filter(result => result.retest === null)
      const passed = first.filter(result => result.passed).length
      return {
        name: one,
        taken: own.length,
        first: first.length,
        passed,
        interval: first.length > 0 ? binomialInterval(passed, first.length) : null,
      }
    })
}

/** Forecasts between two odds: how often they were right. */
export interface HonestyBand {
  readonly low: number
  readonly high: number
  readonly count: number
  /** Mean of the odds said. */
  readonly said: number
  readonly passed: number
  readonly interval: Interval
}

/** Whether the odds that were said came true. */
export interface Honesty {
  readonly forecasts: number
  readonly bands: readonly HonestyBand[]
  /** Mean squared difference of what was said and what came; 0 is best. */
  readonly brier: number
  /** The same for one who always says the share that passed. */
  readonly brierOfShare: number
  /**
   * Whether the forecasts did better than that, beyond what chance makes of this number of tests; no telling while
   * there are too few.
   */
  readonly against: 'better' | 'worse' | 'no telling'
}

/**
 * Fewer forecasts than this say little: with 30 at even odds, the share that comes true still strays by 18 in 100
 * either way (binomial, 95 %).
 */
const ENOUGH = 30
const BANDS = 5

/**
 * Holds forecasts against outcomes, in fifths of the odds. Source: Brier 1950; reliability by bands is common practice.
 * @returns null when no forecast has an outcome yet
 * @example honestyOf([{ ...test, odds: 0.9, passed: true }]).brier // 0.01
 */
export function honestyOf(results: readonly Pick<ResultKept, 'odds' | 'passed'>[]): Honesty | null {
  const told = results.flatMap(({ odds, passed }) => (odds === null ? [] : [{ odds, passed }]))
  if (told.length === 0) return null
  const share = told.filter(one => one.passed).length / told.length
  const brier = (said: (odds: number) => number) =>
    told.reduce((sum, { odds, passed }) => sum + (said(odds) - (passed ? 1 : 0)) ** 2, 0) / told.length
  const bands = Array.from({ length: BANDS }, (_, n) => ({ low: n / BANDS, high: (n + 1) / BANDS })).flatMap(
    ({ low, high }): HonestyBand[] => {
      const own = told.filter(({ odds }) => Math.min(BANDS - 1, Math.floor(odds * BANDS)) === Math.round(low * BANDS))
      if (own.length === 0) return []
      const passed = own.filter(one => one.passed).length
      return [
        {
          low,
          high,
          count: own.length,
          said: own.reduce((sum, one) => sum + one.odds, 0) / own.length,
          passed,
          interval: binomialInterval(passed, own.length),
        },
      ]
    },
  )
  const gains = told.map(({ odds, passed }) => (share - (passed ? 1 : 0)) ** 2 - (odds - (passed ? 1 : 0)) ** 2)
  return {
    forecasts: told.length,
    bands,
    brier: brier(odds => odds),
    brierOfShare: brier(() => share),
    against: told.length < ENOUGH ? 'no telling' : beyondChance(gains),
  }
}

const TWO_SIDED_95 = 1.96

/** Which way a mean of paired differences lies, when it is further from nought than its standard error allows. */
function beyondChance(differences: readonly number[]): Honesty['against'] {
  const middle = mean(differences)
  const error = Math.sqrt(
    differences.reduce((sum, one) => sum + (one - middle) ** 2, 0) / (differences.length - 1) / differences.length,
  )
  return !over(Math.abs(middle), TWO_SIDED_95 * error, SAME_SHARE) ? 'no telling' : middle > 0 ? 'better' : 'worse'
}
