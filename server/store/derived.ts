import type { CouponDocument } from '../../core/coupon'
import { evidenceOf, flawCounts, gradeCoupon, type Evidence, type Grade } from '../../core/grading'
import type { HouseRules } from '../../core/house'
import type { CriteriaSet } from '../../core/criteria'
import { rejectedCounts, rejectedMarks } from '../../core/readiness'
import { CAUSES, diagnose, expectedOn, type CauseId } from '../../core/diagnosis'
import { electrodeOf } from '../../core/trade'
import { insertMany, run, type Queries } from './database'

/** What is computed from a document. */
interface Summary {
  readonly grade: Grade
  readonly nextRun: string
  /** The cause that it would put right; null where it was said for none. */
  readonly toldCause: string | null
  readonly rodFamily: string
  readonly evidence: readonly Evidence[]
}

/** Everything that is computed from a document, by the rules of its day. */
function summarise(document: CouponDocument, rules: HouseRules): Summary {
  const grade = gradeCoupon(document, rules)
  const { nextRun, trueCause, advised, advisedCause } = document
  // What the Bench proposed was said by the odds of that day; only where it proposed nothing is it worked out here.
  const proposed =
    advised === undefined && nextRun === null
      ? proposalOf(document, rules)
      : { says: advised ?? '', cause: advisedCause ?? null }
  return {
    grade,
    evidence: evidenceOf(document, grade, rules),
    nextRun: nextRun ?? proposed.says,
    // Over the instructor's own words stands the instructor's own cause.
    toldCause: nextRun === null ? proposed.cause : (trueCause ?? null),
    rodFamily: electrodeOf(document.ticket.classification).family,
  }
}

function proposalOf(document: CouponDocument, rules: HouseRules) {
  const { nextRun: says, change } = diagnose(document, rules)
  return { says, cause: change?.cause.id ?? null }
}

/** Most rows have nothing that a test would reject. */
const asRejected = (counts: Readonly<Record<string, number>>) =>
  Object.keys(counts).length > 0 ? JSON.stringify(counts) : null

/** The columns of a coupon's row that are computed from its document, by the rules of its day. */
export type DerivedRow = Readonly<Record<string, string | number | null>>

/**
 * Writes the countable rows of a coupon anew, in the caller's transaction, and answers the derived columns of its own
 * row.
 * @param criteria visual criteria that tests are held to
 * @param formerly whose coupon it was; null for a new one
 */
export async function writeDerived(
  on: Queries,
  couponId: string,
  document: CouponDocument,
  rules: HouseRules,
  criteria: readonly CriteriaSet[],
  formerly: string | null,
): Promise<DerivedRow> {
  const { studentId, classDay, ticket } = document
  const { grade, nextRun, toldCause, rodFamily, evidence } = summarise(document, rules)
  const rejected = rejectedMarks(document, criteria, rules.unit)
  if (formerly !== null) {
    await run(on, 'DELETE FROM evidence WHERE student_id = ? AND coupon_id = ?', [formerly, couponId])
    await run(on, 'DELETE FROM flaw WHERE student_id = ? AND coupon_id = ?', [formerly, couponId])
  }
  await insertMany(
    on,
    `INSERT INTO evidence
      (student_id, coupon_id, element, class_day, work, position, rod_family, tried, sound, workable, rejected)
      VALUES ?`,
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
      asRejected(rejectedCounts(rejected, row.element, row.rodFamily)),
    ]),
  )
  await insertMany(
    on,
    'INSERT INTO flaw (student_id, coupon_id, flaw, count, length_mm) VALUES ?',
    flawCounts(document).map(row => [studentId, couponId, row.flaw, row.count, row.lengthMm]),
  )
  return {
    student_id: studentId,
    class_day: classDay,
    position: ticket.position,
    rod_family: rodFamily,
    verdict: grade.verdict,
    score: grade.score,
    next_run: nextRun,
    told_cause: toldCause,
    told_odds: toldCause === null ? null : oddsOf(document, rules, toldCause),
  }
}

/** What the model, knowing nothing of the school, expected to be said of a coupon; small shares are left out. */
export type ExpectedCauses = readonly { readonly cause: CauseId; readonly expected: number }[]

const LEAST_SHARE = 0.001
/** To twelve places, so that a sum is the same in any order it is made. */
const exact = (share: number) => Number(share.toFixed(12))

/** What was to be expected of a coupon on which a cause was said; nothing where none was. */
export function expectedAt({ trueCause, ...document }: CouponDocument, rules: HouseRules): ExpectedCauses {
  if (trueCause === undefined) return []
  const shares = expectedOn(document, rules)
  return CAUSES.map(({ id }, n) => ({ cause: id, expected: exact(shares[n]!) })).filter(
    ({ cause, expected }) => cause === trueCause || expected >= LEAST_SHARE,
  )
}

/** What the model, knowing nothing of the school, gives a cause of a coupon. */
const oddsOf = (document: CouponDocument, rules: HouseRules, cause: string): number =>
  diagnose(document, rules).causes.find(row => row.cause.id === cause)?.odds ?? 0
