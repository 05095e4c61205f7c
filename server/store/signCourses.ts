import type { CouponDocument } from '../../core/coupon'
import { courseOf, ofOneKind, type CauseId, type SignTally } from '../../core/diagnosis'
import type { HouseRules } from '../../core/house'
import { database, fromJson, insertMany, rows, run, type Queries } from './database'
import { rulesOf } from './houseRules'
import { moveSigns } from './tallies'
import { within } from './within'

interface CouponRow {
  id: string
  document: unknown
  saved_by: string
  told_cause: CauseId | null
}

/** How many coupons of a student are looked back through for one of the same kind. */
const LOOKED_BACK = 6

interface Saved {
  readonly id: string
  readonly document: CouponDocument
  readonly rules: HouseRules
  /** Nothing was compared with it yet, nor it with anything. */
  readonly isNew: boolean
}

/**
 * Writes what became of signs wherever this coupon, new or graded again, may have changed it: on itself, on those that
 * were compared with it, and on the next of its kind: a coupon may be entered late, or put on another day.
 */
export async function writeCourses(on: Queries, saved: Saved): Promise<void> {
  const after = [...(saved.isNew ? [] : await comparedWith(on, saved)), ...(await nextOfItsKind(on, saved))]
  const all = new Map<string, Saved>([[saved.id, saved]])
  for (const row of after) {
    const document = fromJson<CouponDocument>(row.document)
    const rules = (await rulesOf(document.rulesVersion, on)) ?? saved.rules
    all.set(row.id, { id: row.id, document, rules, isNew: false })
  }
  for (const one of all.values()) {
    if (!one.isNew) {
      await moveSigns(on, one.id, -1)
      await run(on, 'DELETE FROM sign_course WHERE coupon_id = ?', [one.id])
    }
    await writeCourse(on, one)
    await moveSigns(on, one.id, 1)
  }
}

/** Those that were compared with it when it was saved before. */
const comparedWith = (on: Queries, { id }: Saved) =>
  rows<{ id: string; document: unknown }>(
    on,
    'SELECT id, document FROM coupon WHERE id IN (SELECT coupon_id FROM sign_course WHERE before_id = ?)',
    [id],
  )

/** The next coupon that would look back on this one; none where it is the newest. */
async function nextOfItsKind(on: Queries, { id, document }: Saved) {
  // Said in two parts: a comparison of both at once finds no index, and reads the student's every coupon.
  const found = await rows<{ id: string; document: unknown }>(
    on,
    `SELECT id, document FROM coupon
    WHERE student_id = ? AND class_day >= ? AND (class_day > ? OR id > ?) AND position = ?
    ORDER BY class_day, id LIMIT ${LOOKED_BACK}`,
    [document.studentId, document.classDay, document.classDay, id, document.ticket.position],
  )
  return found.filter(row => ofOneKind(document, fromJson<CouponDocument>(row.document))).slice(0, 1)
}

/** What became of the signs of the coupon before this one. */
async function writeCourse(on: Queries, { id, document, rules }: Saved): Promise<void> {
  const found = await rows<CouponRow>(
    on,
    `SELECT id, document, saved_by, told_cause FROM coupon
    WHERE student_id = ? AND class_day <= ? AND (class_day < ? OR id < ?) AND position = ?
    ORDER BY class_day DESC, id DESC LIMIT ${LOOKED_BACK}`,
    [document.studentId, document.classDay, document.classDay, id, document.ticket.position],
  )
  for (const row of found) {
    const before = fromJson<CouponDocument>(row.document)
    if (!ofOneKind(before, document)) continue
    const ofItsDay = before.rulesVersion === document.rulesVersion ? rules : await rulesOf(before.rulesVersion, on)
    const done = document.toldBefore?.couponId === row.id ? document.toldBefore.done : null
    const courses = courseOf([before, ofItsDay ?? rules], [document, rules], { cause: row.told_cause, done })
    return insertMany(
      on,
      'INSERT INTO sign_course (coupon_id, sign, before_id, student_id, told_by, cause, done, gone) VALUES ?',
      courses.map(course => [
        id,
        course.sign,
        row.id,
        document.studentId,
        row.saved_by,
        course.cause,
        course.done === null ? null : course.done === 'yes',
        course.gone,
      ]),
    )
  }
}

interface TallyRow {
  sign: SignTally['sign']
  cause: CauseId | null
  seen: number
  gone: number
}

/** How often each sign went, of the rows that a query finds. */
async function tallied(query: string, values: readonly string[] = []): Promise<SignTally[]> {
  const found = await rows<TallyRow>(database(), query, values)
  return found.map(row => ({ ...row, seen: Number(row.seen), gone: Number(row.gone) }))
}

/** How often each sign went, told or left alone: in the whole school, or of one student's coupons. */
export const signTallies = (studentId?: string): Promise<SignTally[]> =>
  studentId === undefined
    ? tallied("SELECT sign, NULLIF(cause, '') AS cause, seen, gone FROM sign_tally WHERE seen > 0")
    : tallied(
        `SELECT sign, cause, COUNT(*) AS seen, SUM(gone) AS gone FROM sign_course
        WHERE student_id = ? GROUP BY sign, cause`,
        [studentId],
      )

/** How often each sign went where nothing was told for it, in the whole school. */
export const leftAlone = (): Promise<SignTally[]> =>
  tallied("SELECT sign, NULL AS cause, seen, gone FROM sign_tally WHERE cause = '' AND seen > 0")

/**
 * What came of what each instructor told: how many signs it was told for, and how many went. The most told first.
 * @param taught sections whose students may be told of; null for all
 */
export async function tellers(
  taught: readonly string[] | null,
): Promise<{ name: string; seen: number; gone: number }[]> {
  const own = within('student.section_id', taught)
  const found = await rows<{ name: string; seen: number; gone: number }>(
    database(),
    `SELECT account.name, COUNT(*) AS seen, SUM(gone) AS gone FROM sign_course
    JOIN account ON account.id = sign_course.told_by JOIN student ON student.id = sign_course.student_id
    WHERE cause IS NOT NULL AND ${own.sql}
    GROUP BY account.id, account.name ORDER BY seen DESC, account.name`,
    own.values,
  )
  return found.map(row => ({ name: row.name, seen: Number(row.seen), gone: Number(row.gone) }))
}
