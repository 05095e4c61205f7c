import { object } from 'yup'
import type { CauseId, CauseCounts, HelpedCause, ToldTally } from '../core/diagnosis'
import { label } from './fields'

/** What instructors said was the cause, and what helped, over the whole school since it last began anew. */
export interface CausesSaid {
  /** Both together beside what the model, knowing nothing of the school, had expected: what its odds are moved by. */
  readonly school: CauseCounts
  /** How often each was said. */
  readonly said: Readonly<Partial<Record<CauseId, number>>>
  /** What came of changes that were told for each, and made; of coupons whose cause was not said. */
  readonly made: Readonly<Partial<Record<CauseId, HelpedCause>>>
  /** When the school last began to count anew; null when it never did. */
  readonly reset: { readonly at: string; readonly by: string; readonly why: string } | null
}

/** What came of what was told, over the whole school. */
export interface ToldInSchool {
  readonly causes: readonly ToldTally[]
  /** Signs that each instructor told something for, and how many went on the next coupon of the kind. */
  readonly tellers: readonly { readonly name: string; readonly seen: number; readonly gone: number }[]
}

/** The body of `POST /api/causes/reset`. */
export const causesResetSchema = object({ why: label(400) }).exact()
