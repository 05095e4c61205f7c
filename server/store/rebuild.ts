import type { CouponDocument } from '../../core/coupon'
import type { HouseRules } from '../../core/house'
import type { CriteriaSet } from '../../core/criteria'
import { writeCause } from './causes'
import { testCriteria } from './criteria'
import { database, fromJson, inTransaction, rows, toIso, updateRow } from './database'
import { surpriseAt, writeDerived } from './derived'
import { rulesOf } from './houseRules'
import { noteProgress } from './noteProgress'
import { rewriteCourses } from './signCourses'

const BATCH = 200

/**
 * Derives every countable row again from the coupons' documents. A batch is read and written in one transaction that
 * holds its rows: a coupon saved meanwhile waits, and is not written over by what it was before.
 * @returns how many coupons were read
 */
export async function rebuildDerived(): Promise<number> {
  const rules = new Map<number, HouseRules>()
  const criteria = await testCriteria()
  let after = '00000000-0000-0000-0000-000000000000'
  let read = 0
  for (;;) {
    const last = await rebuildAfter(after, rules, criteria)
    if (last === null) return read
    read += last.count
    after = last.id
  }
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
      const surprise = surpriseAt(document, rules)
      await writeCause(
        on,
        row.id,
        { studentId, cause, surprise, saidAt: new Date(toIso(row.saved_at)) },
        row.student_id,
      )
      await rewriteCourses(on, { id: row.id, document, rules })
    }
    return batch.length === 0 ? null : { id: batch.at(-1)!.id, count: batch.length }
  })
}
