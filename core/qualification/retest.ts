import type { Clause, FamilyId } from './codeFamily'

/** What is allowed after a failure. */
export interface RetestRule extends Clause {
  /** At once. */
  readonly atOnce: string
  /** After more training or practice. */
  readonly afterTraining: string
}

/** Source: each family's clause on retests, from memory, check your copy. */
export const RETESTS: Readonly<Record<FamilyId, RetestRule>> = {
  structural: { atOnce: 'two welds of each type and position that failed, and every specimen passes', afterTraining: 'one full test of the types and positions that failed', clause: '4.24 (2015), 6.25 (2020)', remembered: 'sure' },
  pressure: { atOnce: 'two consecutive coupons for each position that failed, all of them pass; a visual failure by visual first', afterTraining: 'one new full test', clause: 'QW-321', remembered: 'sure' },
  ISO: { atOnce: 'one more test piece; if that fails, more training first', afterTraining: 'a new test', clause: '8', remembered: 'check before it decides' },
  pipeline: { atOnce: 'one more chance, if both parties agree that the failure was beyond the welder’s control', afterTraining: 'with proof of further training', clause: '6.7', remembered: 'sure' },
}
