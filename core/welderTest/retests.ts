import type { CodeBook } from '../qualification/codeBook'
import { NOT_BEGUN, type Retest, type WelderTest } from './welderTest'
import type { TestState } from './testState'

/**
 * What may be done about a failed test: how many pieces, from when (a local date; null where it waits for
 * something), and in words.
 */
export interface RetestOption {
  readonly pieces: number
  readonly from: string | null
  readonly says: string
}

/** The ways to a retest by a book, after a test of a day. */
export function retestOptions({ retest }: CodeBook, testDay: string): RetestOption[] {
  return [
    ...(retest.pieces === null ? [] : [{ pieces: retest.pieces, from: testDay, says: `At once: ${retest.atOnce}` }]),
    { pieces: 1, from: null, says: `After more training or practice: ${retest.afterTraining}` },
  ]
}

/** A failed test once more: the same piece, nothing done yet. */
export function asRetest(
  failed: WelderTest,
  retest: Retest,
  { testDay, couponId }: Pick<WelderTest, 'testDay' | 'couponId'>,
): WelderTest {
  const { said: _, ...again } = failed
  return { ...again, testDay, couponId, retest, odds: null, ...NOT_BEGUN }
}

/**
 * Whether a test that passed counts: of a retest in several pieces all have to have passed.
 * @param all tests of the same student
 * @example countsAsPassed(first, [first, second]) // false while the second of two is not passed
 */
export function countsAsPassed<T extends { readonly state: TestState; readonly retest: Retest | null }>(
  test: T,
  all: readonly T[],
): boolean {
  if (test.state !== 'passed') return false
  const { retest } = test
  if (retest === null || retest.pieces <= 1) return true
  const set = all.filter(one => one.retest?.of === retest.of && one.retest.pieces === retest.pieces)
  return set.length >= retest.pieces && set.every(one => one.state === 'passed')
}
