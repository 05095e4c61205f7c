import type { CouponDocument } from '../../core/coupon'
import type { HouseRules } from '../../core/house'
import type { CriteriaSet } from '../../core/criteria'
import { writeCause } from './causes'
import { testCriteria } from './criteria'
import { database, fromJson, inTransaction, rows, toIso, updateRow } from './database'
import { expectedAt, writeDerived } from './derived'
import { rulesOf } from './houseRules'
import { noteProgress } from './noteProgress'
import { writeCourses } from './signCourses'
import { recount } from './tallies'

const BATCH = 200

/** How far a rebuild is: coupons read, of how many there were when it began, and the last of them. */
export interface Rebuilt {
  readonly read: number
  readonly of: number
  /** The next batch begins after it. */
  readonly last: string
  readonly whole: boolean
}

interface RebuildTerms {
  /** The coupon after which to begin: where one before was stopped. */
  readonly after?: string
  readonly told?: (sofar: Rebuilt) => void
  /** Stops between two batches: what is done stays, and nothing is half done. */
  readonly over?: AbortSignal
}

const BEFORE_ALL = '00000000-0000-0000-0000-000000000000'

/**
 * Derives every countable row again from the coupons' documents, while the school goes on. A batch is read and written
 * in one transaction that holds its rows: a coupon saved meanwhile waits, and is not written over by what it was.
 */
export async function rebuildDerived({ after = BEFORE_ALL, told, over }: RebuildTerms = {}): Promise<Rebuilt> {
  const rules = new Map<number, HouseRules>()
  const criteria = await testCriteria()
  const [left] = await rows<{ n: number }>(database(), 'SELECT COUNT(*) AS n FROM coupon WHERE id > ?', [after])
  let sofar: Rebuilt = { read: 0, of: left!.n, last: after, whole: false }
  while (!over?.aborted) {
    const batch = await rebuildAfter(sofar.last, rules, criteria)
    if (batch === null) {
      await recount()
      return { ...sofar, whole: true }
    }
    sofar = { ...sofar, read: sofar.read + batch.count, last: batch.id }
    told?.(sofar)
  }
  return sofar
}

async function rebuildAfter(
  after: string,
  known: Map<number, HouseRules>,
  criteria: readonly CriteriaSet[],
): Promise<{ readonly id: string; readonly count: number } | null> {
  return inTransaction(database(), async on => {
    const batch = await rows<{ id: string; student_id: string; document: unknown; saved_at: string }>(
      on,
      `SELECT id, student_id, document, saved_at FROM coupon WHERE id > ? ORDER BY id LIMIT ${BATCH} FOR UPDATE`,
      [after],
    )
    for (const row of batch) {
      const document = fromJson<CouponDocument>(row.document)
      const rules = known.get(document.rulesVersion) ?? (await rulesOf(document.rulesVersion, on))
      if (!rules) throw new Error(`Coupon ${row.id} names house rules ${document.rulesVersion}, which are not kept`)
      known.set(document.rulesVersion, rules)
      const { studentId, trueCause: cause } = document
      await updateRow(on, 'coupon', row.id, await writeDerived(on, row.id, document, rules, criteria, row.student_id))
      await noteProgress(on, studentId)
      const expected = expectedAt(document, rules)
      await writeCause(
        on,
        row.id,
        { studentId, cause, expected, saidAt: new Date(toIso(row.saved_at)) },
        row.student_id,
      )
      await writeCourses(on, { id: row.id, document, rules, isNew: false })
    }
    return batch.length === 0 ? null : { id: batch.at(-1)!.id, count: batch.length }
  })
}
