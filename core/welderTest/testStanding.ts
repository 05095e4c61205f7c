import type { CodeBook } from '../qualification/codeBook'
import { testOutcome, type TestOutcome } from './testOutcome'
import { nextStep, sayLead } from './testSteps'
import type { WelderTest } from './welderTest'

/** Where a test stands, why, and what comes next. */
export interface TestStanding extends Pick<TestOutcome, 'state' | 'reasons'> {
  readonly next: string
}

/**
 * Where a test stands by its book.
 * @param read whether the coupon of the test has been read on the Bench
 * @example testStanding(newTest(plan, rules), STRUCTURAL).state // 'planned'
 */
export function testStanding(document: WelderTest, book: CodeBook, read = false): TestStanding {
  const { state, reasons } = testOutcome(document, book)
  return { state, reasons, next: sayLead(nextStep(document, book, read), document, book) }
}
