import type { CouponDocument, Verdict } from '../../core/coupon'
import type { CouponRevision, CouponSave, SavedCoupon } from '../../contract/coupon'
import type { CouponPage, CouponSummary, FirstAndLatest } from '../../contract/record'
import type { HouseRules } from '../../core/house'
import { writeCause } from './causes'
import { testCriteria } from './criteria'
import { database, fromJson, insertRow, rows, run, toDateTime, toIso, updateRow, type Queries } from './database'
import { expectedAt, writeDerived } from './derived'
import { rulesOf } from './houseRules'
import { noteProgress } from './noteProgress'
import { endWait } from './queue'
import { writeCourses } from './signCourses'
import {
  rowOf,
  saveDocument,
  type Before,
  type DocumentKind,
  type NextDocument,
  type SaveOutcome,
  type Saver,
} from './savedDocument'

interface CouponRow {
  id: string
  version: number
  document: unknown
  saved_at: string
  saved_by: string
}

const SELECT_COUPON = `
  SELECT coupon.id, coupon.version, coupon.document, coupon.saved_at, account.name AS saved_by
  FROM coupon JOIN account ON account.id = coupon.saved_by WHERE coupon.id = ?`

function toSaved(row: CouponRow): SavedCoupon {
  return {
    id: row.id,
    version: row.version,
    document: fromJson(row.document),
    savedAt: toIso(row.saved_at),
    savedBy: row.saved_by,
  }
}

export async function findCoupon(id: string, on: Queries = database()): Promise<SavedCoupon | null> {
  const [row] = await rows<CouponRow>(on, SELECT_COUPON, [id])
  return row ? toSaved(row) : null
}

/** A student has seen how own coupons were read: they are no longer read blind. */
export async function noteSeenByStudent(ids: readonly string[]): Promise<void> {
  if (ids.length === 0) return
  await run(
    database(),
    `UPDATE coupon SET student_saw_at = UTC_TIMESTAMP(3)
    WHERE student_saw_at IS NULL AND id IN (${ids.map(() => '?').join(', ')})`,
    [...ids],
  )
}

/** Whether its student has seen how a coupon was read. */
export async function wasSeenByStudent(id: string): Promise<boolean> {
  const found = await rows(database(), 'SELECT 1 FROM coupon WHERE id = ? AND student_saw_at IS NOT NULL', [id])
  return found.length > 0
}

/** Whose account saved a coupon last; null when there is no such coupon. */
export async function savedBy(id: string): Promise<string | null> {
  const [row] = await rows<{ saved_by: string }>(database(), 'SELECT saved_by FROM coupon WHERE id = ?', [id])
  return row?.saved_by ?? null
}

/** How coupons are kept. Their rules are looked up where they are not at hand. */
export const COUPONS: DocumentKind<CouponDocument, SavedCoupon> = {
  table: 'coupon',
  revisions: 'coupon_revision',
  key: 'coupon_id',
  find: findCoupon,
  write: async (on, next, before) => {
    const rules = await rulesOf(next.document.rulesVersion, on)
    if (!rules) throw new Error(`Coupon ${next.id} names house rules ${next.document.rulesVersion}, which are not kept`)
    return writeCoupon(on, next, before, rules)
  },
}

/** Saves a coupon whole, with what is counted from it, in one transaction. */
export function saveCoupon(
  id: string,
  save: CouponSave,
  rules: HouseRules,
  by: Saver,
): Promise<SaveOutcome<SavedCoupon>> {
  return saveDocument({ ...COUPONS, write: (on, next, before) => writeCoupon(on, next, before, rules) }, id, save, by)
}

/** Writes a coupon's row and its countable rows, new or over the version before. */
async function writeCoupon(
  on: Queries,
  next: NextDocument<CouponDocument>,
  before: Before<CouponDocument> | null,
  rules: HouseRules,
): Promise<SavedCoupon> {
  const { id, document, by, version } = next
  const row = {
    ...(await writeDerived(on, id, document, rules, await testCriteria(on), before?.document.studentId ?? null)),
    ...rowOf(next),
  }
  const readAt = by.doneAt ?? by.now
  if (before) await updateRow(on, 'coupon', id, row)
  else await insertRow(on, 'coupon', { id, ...row, read_at: toDateTime(readAt) })
  const formerly = before?.document.studentId ?? null
  const expected = expectedAt(document, rules)
  await writeCause(
    on,
    id,
    { studentId: document.studentId, cause: document.trueCause, expected, saidAt: by.now },
    formerly,
  )
  await writeCourses(on, { id, document, rules, isNew: before === null })
  for (const studentId of new Set([document.studentId, formerly ?? document.studentId]))
    await noteProgress(on, studentId)
  // Last: a section's floor is one row, and no save is to wait for it longer than need be.
  if (!before) await endWait(on, document.studentId, readAt)
  return { id, version, document, savedAt: by.now.toISOString(), savedBy: by.name }
}

/** Earlier saves of a coupon, newest first. */
export async function listRevisions(id: string): Promise<CouponRevision[]> {
  const found = await rows<{ version: number; document: unknown; saved_at: string; saved_by: string; why: string }>(
    database(),
    `
    SELECT version, document, saved_at, account.name AS saved_by, why
    FROM coupon_revision JOIN account ON account.id = coupon_revision.saved_by WHERE coupon_id = ?
      ORDER BY version DESC`,
    [id],
  )
  return found.map(row => ({
    version: row.version,
    document: fromJson(row.document),
    savedAt: toIso(row.saved_at),
    savedBy: row.saved_by,
    why: row.why,
  }))
}

export interface CouponFilter {
  readonly position: string | null
  readonly rodFamily: string | null
  readonly verdict: string | null
  /** Where the page before ended: `2026-10-05 <id>`. */
  readonly after: string | null
}

const PAGE = 24

interface SummaryRow {
  id: string
  class_day: string
  saved_at: string
  verdict: Verdict
  score: number
  pictures: number
  document: unknown
}
const SELECT_SUMMARY = `SELECT id, class_day, saved_at, verdict, score, document,
  (SELECT COUNT(*) FROM coupon_picture WHERE coupon_id = coupon.id AND lies IS NOT NULL) AS pictures FROM coupon`

const toSummary = (row: SummaryRow): CouponSummary => ({
  id: row.id,
  classDay: row.class_day,
  savedAt: toIso(row.saved_at),
  verdict: row.verdict,
  score: row.score,
  pictures: row.pictures,
  document: fromJson(row.document),
})

/** Coupons of a student, newest first, a page at a time. */
export async function listCoupons(studentId: string, filter: CouponFilter): Promise<CouponPage> {
  const [afterDay, afterId] = filter.after?.split(' ') ?? [null, null]
  const conditions = ['student_id = ?']
  const values: (string | null)[] = [studentId]
  const narrow = (condition: string, ...more: (string | null)[]) => {
    conditions.push(condition)
    values.push(...more)
  }
  if (filter.position) narrow('position = ?', filter.position)
  if (filter.rodFamily) narrow('rod_family = ?', filter.rodFamily)
  if (filter.verdict) narrow('verdict = ?', filter.verdict)
  if (afterDay && afterId) narrow('(class_day < ? OR (class_day = ? AND id < ?))', afterDay, afterDay, afterId)
  const found = await rows<SummaryRow>(
    database(),
    `${SELECT_SUMMARY} WHERE ${conditions.join(' AND ')} ORDER BY class_day DESC, id DESC LIMIT ${PAGE + 1}`,
    values,
  )
  const page = found.slice(0, PAGE)
  const last = page.at(-1)
  return {
    coupons: page.map(toSummary),
    next: found.length > PAGE && last ? `${last.class_day} ${last.id}` : null,
  }
}

/** The first and the latest coupon of a rung; of the one run last where none is asked for. */
export async function firstAndLatest(studentId: string, rung: string | null): Promise<FirstAndLatest> {
  const counted = await rows<{ rung: string }>(
    database(),
    `SELECT rung FROM coupon WHERE student_id = ? AND rung IS NOT NULL
      GROUP BY rung HAVING COUNT(*) > 1 ORDER BY MAX(class_day) DESC, MAX(read_at) DESC, rung`,
    [studentId],
  )
  const rungs = counted.map(row => row.rung)
  const asked = rung === null ? rungs[0] : rungs.find(one => one === rung)
  if (asked === undefined) return { rungs, pair: null }
  const end = async (way: 'ASC' | 'DESC') => {
    const [row] = await rows<SummaryRow>(
      database(),
      `${SELECT_SUMMARY} WHERE student_id = ? AND rung = ?
        ORDER BY class_day ${way}, read_at ${way}, coupon.id ${way} LIMIT 1`,
      [studentId, asked],
    )
    return toSummary(row!)
  }
  const [first, latest] = await Promise.all([end('ASC'), end('DESC')])
  return { rungs, pair: { rung: asked, first, latest } }
}
