import type { CouponDocument, Verdict } from '../../core/coupon'
import type { CouponRevision, CouponSave, SavedCoupon } from '../../contract/coupon'
import type { CouponPage } from '../../contract/record'
import type { HouseRules } from '../../core/house'
import { database, fromJson, inTransaction, rows, run, toDateTime, toIso, type Queries } from './database'
import { summarise, writeDerived } from './derived'

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
  return { id: row.id, version: row.version, document: fromJson(row.document), savedAt: toIso(row.saved_at), savedBy: row.saved_by }
}

export async function findCoupon(id: string, on: Queries = database()): Promise<SavedCoupon | null> {
  const [row] = await rows<CouponRow>(on, SELECT_COUPON, [id])
  return row ? toSaved(row) : null
}

export type SaveOutcome = { readonly saved: SavedCoupon } | { readonly theirs: SavedCoupon }

/** Who saves, and when. */
export interface Saver {
  readonly id: string
  readonly name: string
  readonly now: Date
}

/**
 * Saves a coupon whole, with what is counted from it, in one transaction.
 * The same save again is one save; a save over a newer version changes nothing and answers that version.
 */
export function saveCoupon(id: string, save: CouponSave, rules: HouseRules, by: Saver): Promise<SaveOutcome> {
  const text = JSON.stringify(save.document)
  return inTransaction(database(), async (on) => {
    const [before] = await rows<{ version: number, document: string, saved_at: string, saved_by: string }>(
      on, 'SELECT version, document, saved_at, saved_by FROM coupon WHERE id = ? FOR UPDATE', [id])
    if (before && sameDocument(before.document, text)) return { saved: (await findCoupon(id, on))! }
    if ((before?.version ?? 0) !== save.baseVersion && before) return { theirs: (await findCoupon(id, on))! }
    const version = (before?.version ?? 0) + 1
    if (before) {
      await run(on, 'INSERT INTO coupon_revision (coupon_id, version, document, saved_at, saved_by, why) VALUES (?, ?, ?, ?, ?, ?)',
        [id, before.version, before.document, before.saved_at, before.saved_by, save.why])
    }
    const { grade, nextRun, rodFamily } = summarise(save.document, rules)
    await writeRow(on, { id, version, text, document: save.document, verdict: grade.verdict, score: grade.score, nextRun, rodFamily }, by)
    await writeDerived(on, id, save.document, grade, !before)
    return { saved: { id, version, document: save.document, savedAt: by.now.toISOString(), savedBy: by.name } }
  })
}

function sameDocument(kept: unknown, text: string): boolean {
  return JSON.stringify(fromJson(kept)) === text
}

interface NewRow {
  readonly id: string
  readonly version: number
  readonly text: string
  readonly document: CouponDocument
  readonly verdict: Verdict
  readonly score: number
  readonly nextRun: string
  readonly rodFamily: string
}

async function writeRow(on: Queries, row: NewRow, by: Saver): Promise<void> {
  const { document } = row
  const values = [document.studentId, document.classDay, document.ticket.position, row.rodFamily, row.verdict, row.score, row.nextRun,
    row.version, row.text, toDateTime(by.now), by.id] as const
  if (row.version === 1) {
    await run(on, `INSERT INTO coupon (student_id, class_day, position, rod_family, verdict, score, next_run, version, document, saved_at, saved_by, id)
      VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`, [...values, row.id])
  } else {
    await run(on, `UPDATE coupon SET student_id = ?, class_day = ?, position = ?, rod_family = ?, verdict = ?, score = ?, next_run = ?,
      version = ?, document = ?, saved_at = ?, saved_by = ? WHERE id = ?`, [...values, row.id])
  }
}

/** Earlier saves of a coupon, newest first. */
export async function listRevisions(id: string): Promise<CouponRevision[]> {
  const found = await rows<{ version: number, document: unknown, saved_at: string, saved_by: string, why: string }>(database(), `
    SELECT version, document, saved_at, account.name AS saved_by, why
    FROM coupon_revision JOIN account ON account.id = coupon_revision.saved_by WHERE coupon_id = ? ORDER BY version DESC`, [id])
  return found.map(row => ({ version: row.version, document: fromJson(row.document), savedAt: toIso(row.saved_at), savedBy: row.saved_by, why: row.why }))
}

export interface CouponFilter {
  readonly position: string | null
  readonly rodFamily: string | null
  readonly verdict: string | null
  /** Where the page before ended: `2026-10-05 <id>`. */
  readonly after: string | null
}

const PAGE = 24

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
  const found = await rows<{ id: string, class_day: string, saved_at: string, verdict: Verdict, score: number, document: unknown }>(database(), `
    SELECT id, class_day, saved_at, verdict, score, document FROM coupon
    WHERE ${conditions.join(' AND ')} ORDER BY class_day DESC, id DESC LIMIT ${PAGE + 1}`, values)
  const page = found.slice(0, PAGE)
  const last = page.at(-1)
  return {
    coupons: page.map(row => ({
      id: row.id, classDay: row.class_day, savedAt: toIso(row.saved_at), verdict: row.verdict, score: row.score, document: fromJson(row.document),
    })),
    next: found.length > PAGE && last ? `${last.class_day} ${last.id}` : null,
  }
}
