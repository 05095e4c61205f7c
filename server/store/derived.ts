import type { CouponDocument } from '../../core/coupon'
import { evidenceOf, flawCounts, gradeCoupon, type Evidence, type Grade } from '../../core/grading'
import type { HouseRules } from '../../core/house'
import { diagnose } from '../../core/diagnosis'
import { electrodeOf } from '../../core/trade'
import { insertMany, run, type Queries } from './database'

/** What a coupon's row says beside its document. */
export interface Summary {
  readonly grade: Grade
  readonly nextRun: string
  readonly rodFamily: string
  readonly evidence: readonly Evidence[]
}

/** Everything that is computed from a document, by the rules of its day. */
export function summarise(document: CouponDocument, rules: HouseRules): Summary {
  const grade = gradeCoupon(document, rules)
  return {
    grade,
    evidence: evidenceOf(document, grade, rules),
    nextRun: document.nextRun ?? document.advised ?? diagnose(document, rules).nextRun,
    rodFamily: electrodeOf(document.ticket.classification).family,
  }
}

/**
 * Writes the countable rows of a coupon anew, in the caller's transaction. `formerly` is whose coupon it was; null
 * for a new one.
 */
export async function writeDerived(
  on: Queries,
  couponId: string,
  document: CouponDocument,
  evidence: readonly Evidence[],
  formerly: string | null,
): Promise<void> {
  const { studentId, classDay } = document
  if (formerly !== null) {
    await run(on, 'DELETE FROM evidence WHERE student_id = ? AND coupon_id = ?', [formerly, couponId])
    await run(on, 'DELETE FROM flaw WHERE student_id = ? AND coupon_id = ?', [formerly, couponId])
  }
  await insertMany(
    on,
    'INSERT INTO evidence (student_id, coupon_id, element, class_day, work, position, rod_family, tried, sound, workable) VALUES ?',
    evidence.map(row => [
      studentId,
      couponId,
      row.element,
      classDay,
      row.work,
      row.position,
      row.rodFamily,
      row.tried,
      row.sound,
      row.workable,
    ]),
  )
  await insertMany(
    on,
    'INSERT INTO flaw (student_id, coupon_id, flaw, count, length_mm) VALUES ?',
    flawCounts(document).map(row => [studentId, couponId, row.flaw, row.count, row.lengthMm]),
  )
}
