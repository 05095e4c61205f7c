import { object } from 'yup'
import type { CauseCounts } from '../core/diagnosis'
import { label } from './fields'

/** What instructors said was the cause, counted: of the whole school, and of each student. */
export interface CausesSaid {
  readonly school: CauseCounts
  readonly students: Readonly<Record<string, CauseCounts>>
  /** When the school last began to count anew; null when it never did. */
  readonly reset: { readonly at: string; readonly by: string; readonly why: string } | null
}

/** The body of `POST /api/causes/reset`. */
export const causesResetSchema = object({ why: label(400) }).exact()
