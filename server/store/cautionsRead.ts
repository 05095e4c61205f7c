import type { CouponDocument } from '../../core/coupon'
import { cautionsLeft, cautionsOfClass, wantsCautionsRead } from '../../core/floor'
import type { CautionRead, StudentCautions } from '../../contract/cautions'
import { database, fromJson, inTransaction, rows, run, toDateTime, toIso } from './database'
import { currentRules } from './houseRules'

interface ReadRow {
  student_id: string
  says: string
  read_at: string
  said_by: string
}

/** What students said was read, by student, the newest first. */
export async function cautionsReadBy(studentIds: readonly string[]): Promise<Map<string, CautionRead[]>> {
  const read = new Map(studentIds.map(id => [id, [] as CautionRead[]]))
  if (studentIds.length === 0) return read
  const found = await rows<ReadRow>(
    database(),
    `SELECT student_id, says, read_at, said_by FROM caution_read
    WHERE student_id IN (${studentIds.map(() => '?').join(', ')}) ORDER BY read_at DESC, says`,
    [...studentIds],
  )
  for (const row of found) read.get(row.student_id)!.push({ text: row.says, at: toIso(row.read_at), by: row.said_by })
  return read
}

/** The cautions of what a student runs: those that are left to be read, and what was. */
export async function cautionsOf(studentId: string): Promise<StudentCautions> {
  const [{ rules }, read, newest] = await Promise.all([
    currentRules(),
    cautionsReadBy([studentId]),
    rows<{ document: unknown }>(
      database(),
      'SELECT document FROM coupon WHERE student_id = ? ORDER BY class_day DESC, id DESC LIMIT 1',
      [studentId],
    ),
  ])
  const own = read.get(studentId)!
  const coupons = newest.map(row => fromJson<CouponDocument>(row.document))
  const asked = wantsCautionsRead(rules) ? cautionsOfClass(coupons, rules) : []
  return {
    left: cautionsLeft(
      asked,
      own.map(one => one.text),
    ),
    read: own,
  }
}

/** Keeps that texts were read; what was said before stays as it was said first. */
export async function noteCautionsRead(
  studentId: string,
  texts: readonly string[],
  by: { readonly name: string; readonly now: Date },
): Promise<void> {
  await inTransaction(database(), async on => {
    for (const text of texts)
      await run(
        on,
        `INSERT INTO caution_read (student_id, text_sha, says, read_at, said_by)
        VALUES (?, UNHEX(SHA2(?, 256)), ?, ?, ?) ON DUPLICATE KEY UPDATE says = says`,
        [studentId, text, text, toDateTime(by.now), by.name],
      )
  })
}
