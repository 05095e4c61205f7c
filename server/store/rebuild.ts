import { writeCause } from './causes'
import { database, fromJson, inTransaction, rows, run, toIso } from './database'
import type { CouponDocument } from '../../core/coupon'
import { summarise, writeDerived } from './derived'
import { rulesOf } from './houseRules'
import { noteProgress } from './progress'

const BATCH = 200

/**
 * Derives every countable row again from the coupons' documents.
 * @returns how many coupons were read
 */
export async function rebuildDerived(): Promise<number> {
  let after = '00000000-0000-0000-0000-000000000000'
  for (let read = 0; ;) {
    const batch = await rows<{ id: string; document: unknown; saved_at: string }>(
      database(),
      `SELECT id, document, saved_at FROM coupon WHERE id > ? ORDER BY id LIMIT ${BATCH}`,
      [after],
    )
    if (batch.length === 0) return read
    await inTransaction(database(), async on => {
      for (const row of batch) {
        const document = fromJson<CouponDocument>(row.document)
        const rules = await rulesOf(document.rulesVersion, on)
        if (!rules) throw new Error(`Coupon ${row.id} names house rules ${document.rulesVersion}, which are not kept`)
        const { grade, nextRun, evidence } = summarise(document, rules)
        await run(on, 'UPDATE coupon SET verdict = ?, score = ?, next_run = ? WHERE id = ?', [
          grade.verdict,
          grade.score,
          nextRun,
          row.id,
        ])
        await writeDerived(on, row.id, document, evidence, document.studentId)
        await noteProgress(on, document.studentId)
        await writeCause(
          on,
          row.id,
          { studentId: document.studentId, cause: document.trueCause, saidAt: new Date(toIso(row.saved_at)) },
          document.studentId,
        )
      }
    })
    read += batch.length
    after = batch.at(-1)!.id
  }
}
