import type { H3Error } from 'h3'
import type { Problem } from '../../contract/problem'
import { refuse } from './refuse'

/** Refuses a save over another person's newer version; theirs goes along where both are to be shown. */
export function savedByOther(detail: string, theirs?: unknown): H3Error<Problem> {
  const problem = refuse(409, 'Saved by someone else', detail)
  if (theirs !== undefined) problem.data = { ...problem.data!, theirs } as Problem
  return problem
}
