import type { CauseCounts, CauseId } from '../../core/diagnosis'
import type { CausesSaid } from '../../contract/causes'
import { database, rows, run, toDateTime, toIso, type Queries } from './database'

/**
 * Keeps the cause that was said of a coupon, or that none is said any more, in the caller's transaction. `formerly`
 * as for `writeDerived`.
 */
export async function writeCause(
  on: Queries,
  couponId: string,
  { studentId, cause, saidAt }: { studentId: string; cause: string | undefined; saidAt: Date },
  formerly: string | null,
): Promise<void> {
  if (formerly !== null) await run(on, 'DELETE FROM cause_said WHERE coupon_id = ?', [couponId])
  if (cause)
    await run(on, 'INSERT INTO cause_said (coupon_id, student_id, cause, said_at) VALUES (?, ?, ?, ?)', [
      couponId,
      studentId,
      cause,
      toDateTime(saidAt),
    ])
}

/** What was said in the whole school since it last began to count anew. */
export async function causesSaid(): Promise<CausesSaid> {
  const reset = await lastReset()
  return {
    school: await countsSince(reset?.reset_at ?? EVER),
    reset: reset ? { at: toIso(reset.reset_at), by: reset.reset_by, why: reset.why } : null,
  }
}

/** What was said of one student's coupons since then. */
export async function causesSaidOf(studentId: string): Promise<CauseCounts> {
  return countsSince((await lastReset())?.reset_at ?? EVER, studentId)
}

const EVER = '1970-01-01'

async function lastReset() {
  const [reset] = await rows<{ reset_at: string; reset_by: string; why: string }>(
    database(),
    'SELECT reset_at, reset_by, why FROM cause_reset ORDER BY reset_at DESC LIMIT 1',
  )
  return reset
}

async function countsSince(moment: string, studentId?: string): Promise<CauseCounts> {
  const counted = await rows<{ cause: CauseId; said: number }>(
    database(),
    `SELECT cause, COUNT(*) AS said FROM cause_said
    WHERE said_at > ? ${studentId === undefined ? '' : 'AND student_id = ?'} GROUP BY cause`,
    studentId === undefined ? [moment] : [moment, studentId],
  )
  return Object.fromEntries(counted.map(row => [row.cause, Number(row.said)]))
}

/** Begins to count anew: the odds are as shipped again, and what was said stays with its coupons. */
export async function resetCauses({ by, why, now }: { by: string; why: string; now: Date }): Promise<void> {
  await run(database(), 'INSERT INTO cause_reset (reset_at, reset_by, why) VALUES (?, ?, ?)', [
    toDateTime(now),
    by,
    why,
  ])
}
