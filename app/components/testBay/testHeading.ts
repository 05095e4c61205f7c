import type { CodeBook } from '~~/core/qualification'
import { hasResult, type TestState } from '~~/core/welderTest'

/** A state in the words of a list. */
export const STATE_WORDS: Readonly<Record<TestState, string>> = {
  'planned': 'planned',
  'under way': 'under way',
  'for visual': 'to be read',
  'for specimens': 'to be bent',
  'passed': 'passed',
  'failed': 'not passed',
}
/** The order in which tests want a person: what runs first, then what waits, then plans, then results. */
const URGENCY: readonly TestState[] = ['under way', 'for visual', 'for specimens', 'planned']
export const isOpen = (state: TestState): boolean => !hasResult(state)
export const urgencyOf = (state: TestState): number => URGENCY.indexOf(state)

/** A book as it is named on a page. */
export const bookTitle = ({ name, edition }: Pick<CodeBook, 'name' | 'edition'>): string => `${name}, ${edition}`
