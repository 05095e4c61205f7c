import type { CouponDocument, Verdict } from '../../core/coupon'
import type { CouponRevision, CouponSave, SavedCoupon } from '../../contract/coupon'
import type { CouponPage } from '../../contract/record'
import type { HouseRules } from '../../core/house'
import { writeCause } from './causes'
import { database, fromJson, inTransaction, isDuplicate, rows, run, toDateTime, toIso, type Queries } from './database'
import { summarise, writeDerived, type Summary } from './derived'
import { rulesOf } from './houseRules'
import { noteProgress } from './progress'

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

/** Whose account saved a coupon last; null when there is no such coupon. */
export async function savedBy(id: string): Promise<string | null> {
  const [row] = await rows<{ saved_by: string }>(database(), 'SELECT saved_by FROM coupon WHERE id = ?', [id])
  return row?.saved_by ?? null
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
export async function saveCoupon(id: string, save: CouponSave, rules: HouseRules, by: Saver): Promise<SaveOutcome> {
  const next: Next = {
    id,
    text: JSON.stringify(save.document),
    document: save.document,
    summary: summarise(save.document, rules),
    by,
  }
  if (save.baseVersion === 0) {
    try {
      return await inTransaction(database(), async on => ({ saved: await write(on, next, null) }))
    } catch (error) {
      if (!isDuplicate(error)) throw error
    }
  }
  return inTransaction(database(), on => saveOver(on, next, save))
}

/**
 * A save of a coupon that is there already: the same again, a new version, or refused because someone else's is
 * newer.
 */
async function saveOver(on: Queries, next: Next, { baseVersion, why }: CouponSave): Promise<SaveOutcome> {
  const [before] = await rows<Before>(
    on,
    'SELECT version, student_id, document, saved_at, saved_by FROM coupon WHERE id = ? FOR UPDATE',
    [next.id],
  )
  if (!before) return { saved: await write(on, next, null) }
  if (sameDocument(before.document, next.text)) return { saved: (await findCoupon(next.id, on))! }
  if (before.version !== baseVersion) return { theirs: (await findCoupon(next.id, on))! }
  await run(
    on,
    'INSERT INTO coupon_revision (coupon_id, version, document, saved_at, saved_by, why) VALUES (?, ?, ?, ?, ?, ?)',
    [next.id, before.version, before.document, before.saved_at, before.saved_by, why],
  )
  return { saved: await write(on, next, before) }
}

/**
 * Changes a coupon that is there, in the caller's transaction; the version before is kept, with why. Nothing is
 * written where there is no such coupon, or the
 * change changes nothing.
 */
export async function amendCoupon(
  on: Queries,
  id: string,
  change: (document: CouponDocument) => CouponDocument,
  why: string,
  by: Saver,
): Promise<void> {
  const kept = await findCoupon(id, on)
  if (!kept) return
  const document = change(kept.document)
  const text = JSON.stringify(document)
  const rules = text === JSON.stringify(kept.document) ? null : await rulesOf(document.rulesVersion, on)
  if (rules)
    await saveOver(
      on,
      { id, text, document, summary: summarise(document, rules), by },
      { baseVersion: kept.version, why, document },
    )
}

function sameDocument(kept: unknown, text: string): boolean {
  return JSON.stringify(fromJson(kept)) === text
}

interface Before {
  version: number
  student_id: string
  document: string
  saved_at: string
  saved_by: string
}

/** A coupon about to be written, with all that is computed from it. */
interface Next {
  readonly id: string
  readonly text: string
  readonly document: CouponDocument
  readonly summary: Summary
  readonly by: Saver
}

/** Writes a coupon's row and its countable rows, new or over the version before. */
async function write(
  on: Queries,
  { id, text, document, summary, by }: Next,
  before: Before | null,
): Promise<SavedCoupon> {
  const { grade, nextRun, rodFamily, evidence } = summary
  const version = (before?.version ?? 0) + 1
  const values = [
    document.studentId,
    document.classDay,
    document.ticket.position,
    rodFamily,
    grade.verdict,
    grade.score,
    nextRun,
    version,
    text,
    toDateTime(by.now),
    by.id,
    id,
  ] as const
  if (before === null) {
    await run(
      on,
      `INSERT INTO coupon (student_id, class_day, position, rod_family, verdict, score, next_run, version, document, saved_at, saved_by, id)
      VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
      values,
    )
  } else {
    await run(
      on,
      `UPDATE coupon SET student_id = ?, class_day = ?, position = ?, rod_family = ?, verdict = ?, score = ?, next_run = ?,
      version = ?, document = ?, saved_at = ?, saved_by = ? WHERE id = ?`,
      values,
    )
  }
  await writeDerived(on, id, document, evidence, before?.student_id ?? null)
  await writeCause(
    on,
    id,
    { studentId: document.studentId, cause: document.trueCause, saidAt: by.now },
    before?.student_id ?? null,
  )
  for (const studentId of new Set([document.studentId, before?.student_id ?? document.studentId]))
    await noteProgress(on, studentId)
  return { id, version, document, savedAt: by.now.toISOString(), savedBy: by.name }
}

/** Earlier saves of a coupon, newest first. */
export async function listRevisions(id: string): Promise<CouponRevision[]> {
  const found = await rows<{ version: number; document: unknown; saved_at: string; saved_by: string; why: string }>(
    database(),
    `
    SELECT version, document, saved_at, account.name AS saved_by, why
    FROM coupon_revision JOIN account ON account.id = coupon_revision.saved_by WHERE coupon_id = ? ORDER BY version DESC`,
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
  const found = await rows<{
    id: string
    class_day: string
    saved_at: string
    verdict: Verdict
    score: number
    document: unknown
  }>(
    database(),
    `
    SELECT id, class_day, saved_at, verdict, score, document FROM coupon
    WHERE ${conditions.join(' AND ')} ORDER BY class_day DESC, id DESC LIMIT ${PAGE + 1}`,
    values,
  )
  const page = found.slice(0, PAGE)
  const last = page.at(-1)
  return {
    coupons: page.map(row => ({
      id: row.id,
      classDay: row.class_day,
      savedAt: toIso(row.saved_at),
      verdict: row.verdict,
      score: row.score,
      document: fromJson(row.document),
    })),
    next: found.length > PAGE && last ? `${last.class_day} ${last.id}` : null,
  }
}
