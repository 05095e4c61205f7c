/** Where a test stands, from plan to result. */
export type TestState = 'planned' | 'under way' | 'for visual' | 'for specimens' | 'passed' | 'failed'

/** Whether a test has its result. */
export const hasResult = (state: TestState): boolean => state === 'passed' || state === 'failed'
