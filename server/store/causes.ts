import {
  goneAlone,
  helpedCauses,
  withHelped,
  type CauseId,
  type CauseCounts,
  type MadeChange,
  type SignId,
} from '../../core/diagnosis'
import type { CausesSaid } from '../../contract/causes'
import type { ExpectedCauses } from './derived'
import { leftAlone } from './signCourses'
import { moveCause, WHOLE_SCHOOL } from './tallies'
import { database, inTransaction, insertRow, rows, run, toDateTime, toIso, type Queries } from './database'

/** A cause that was said of a coupon, and what the model had expected to be said. */
export interface SaidCause {
  readonly studentId: string
  readonly cause: string | undefined
  readonly expected: ExpectedCauses
  readonly saidAt: Date
}

/**
 * Keeps the cause that was said of a coupon, or that none is said any more, in the caller's transaction. `formerly`
 * as for `writeDerived`.
 */
export async function writeCause(
  on: Queries,
  couponId: string,
  { studentId, cause, expected, saidAt }: SaidCause,
  formerly: string | null,
): Promise<void> {
  if (formerly !== null) await unsay(on, couponId)
  if (cause) {
    await insertRow(on, 'cause_said', {
      coupon_id: couponId,
      student_id: studentId,
      cause,
      expected: JSON.stringify(expected),
      said_at: toDateTime(saidAt),
    })
    if (saidAt.getTime() > (await lastResetAt(on))) await moveCause(on, couponId, 1)
  }
}

/** What was said of a coupon counts no longer: only since the last reset did it count at all. */
async function unsay(on: Queries, couponId: string): Promise<void> {
  const [said] = await rows<{ said_at: string }>(on, 'SELECT said_at FROM cause_said WHERE coupon_id = ?', [couponId])
  if (!said) return
  if (Date.parse(toIso(said.said_at)) > (await lastResetAt(on))) await moveCause(on, couponId, -1)
  await run(on, 'DELETE FROM cause_said WHERE coupon_id = ?', [couponId])
}

/** What was said in the whole school, and what helped there, since it last began to count anew. */
export async function causesSaid(): Promise<CausesSaid> {
  const reset = await lastReset()
  const from = reset?.reset_at ?? EVER
  const [found, made] = await Promise.all([saidOf(WHOLE_SCHOOL), helpedSince(from)])
  return {
    school: withHelped(countsOf(found), made),
    said: Object.fromEntries(found.filter(row => row.said > 0).map(row => [row.cause, Number(row.said)])),
    made,
    reset: reset ? { at: toIso(reset.reset_at), by: reset.reset_by, why: reset.why } : null,
  }
}

/** What was said of one student's coupons since then, and what helped, as its odds are moved by it. */
export async function causesSaidOf(studentId: string): Promise<CauseCounts> {
  const from = (await lastReset())?.reset_at ?? EVER
  const [found, made] = await Promise.all([saidOf(studentId), helpedSince(from, studentId)])
  return withHelped(countsOf(found), made)
}

const countsOf = (rows: readonly SaidRow[]): CauseCounts =>
  Object.fromEntries(rows.map(row => [row.cause, { said: Number(row.said), expected: Number(row.expected) }]))

const EVER = '1970-01-01'

async function lastReset(on: Queries = database()) {
  const [reset] = await rows<{ reset_at: string; reset_by: string; why: string }>(
    on,
    'SELECT reset_at, reset_by, why FROM cause_reset ORDER BY reset_at DESC LIMIT 1',
  )
  return reset
}

/** When it last began to be counted anew, ms since 1970; never where it did not. */
const lastResetAt = async (on: Queries): Promise<number> => {
  const reset = await lastReset(on)
  return reset ? Date.parse(toIso(reset.reset_at)) : Number.NEGATIVE_INFINITY
}

interface SaidRow {
  cause: CauseId
  said: number
  expected: number
}

const saidOf = (whom: string): Promise<SaidRow[]> =>
  rows<SaidRow>(database(), 'SELECT cause, said, expected FROM cause_tally WHERE student_id = ?', [whom])

/** What came of this number of signs says what helps: the newest, as a school changes. */
const MOST_HELPED = 3000

interface MadeRow {
  coupon_id: string
  cause: CauseId
  odds: number
  sign: SignId
  gone: number
}

/**
 * What came of the changes that were told of coupons and made, on the next of their kind. Where an instructor said the
 * cause of such a coupon, that is evidence enough of it.
 */
async function helpedSince(moment: string, studentId?: string): Promise<CausesSaid['made']> {
  const found = await rows<MadeRow>(
    database(),
    `SELECT course.coupon_id, course.cause, told.told_odds AS odds, course.sign, course.gone
    FROM sign_course AS course
    JOIN coupon AS told ON told.id = course.before_id
    LEFT JOIN cause_said ON cause_said.coupon_id = course.before_id
    WHERE course.done = TRUE AND course.cause IS NOT NULL AND told.told_odds IS NOT NULL AND told.saved_at > ?
      AND cause_said.coupon_id IS NULL ${studentId === undefined ? '' : 'AND course.student_id = ?'}
    ORDER BY course.coupon_id DESC LIMIT ${MOST_HELPED}`,
    studentId === undefined ? [moment] : [moment, studentId],
  )
  if (found.length === 0) return {}
  // What was told of a coupon was told for one cause.
  const changes = new Map<string, MadeChange>()
  for (const { coupon_id, cause, odds, sign, gone } of found) {
    const signs = [...(changes.get(coupon_id)?.signs ?? []), { sign, gone: Boolean(gone) }]
    changes.set(coupon_id, { cause, odds, signs })
  }
  return helpedCauses([...changes.values()], goneAlone(await leftAlone()))
}

/** Begins to count anew: the odds are as shipped again, and what was said stays with its coupons. */
export async function resetCauses({ by, why, now }: { by: string; why: string; now: Date }): Promise<void> {
  await inTransaction(database(), async on => {
    await insertRow(on, 'cause_reset', { reset_at: toDateTime(now), reset_by: by, why })
    await run(on, 'DELETE FROM cause_tally')
  })
}
