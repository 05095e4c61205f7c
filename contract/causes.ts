import { object } from 'yup'
import type { CauseCounts } from '../core/diagnosis'
import { label } from './fields'

/** What instructors said was the cause, counted over the whole school. */
export interface CausesSaid {
  readonly school: CauseCounts
  /** When the school last began to count anew; null when it never did. */
  readonly reset: { readonly at: string; readonly by: string; readonly why: string } | null
}

/** The body of `POST /api/causes/reset`. */
export const causesResetSchema = object({ why: label(400) }).exact()
