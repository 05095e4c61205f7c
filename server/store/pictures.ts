import { MOST_PICTURES, type PictureLies, type PictureSide, type PictureState } from '../../core/picture'
import type { Me } from '../../contract/people'
import type { CouponPicture, GaugedPicture, PictureSave } from '../../contract/pictures'
import { database, fromJson, inTransaction, insertRow, rows, run, toDateTime, toIso, type Queries } from './database'
import { within } from './within'
import { digestOf, dropPictureFile, keepPictureFile, readPictureFile } from './pictureFiles'

interface PictureRow {
  id: string
  coupon_id: string
  student_id: string
  side: PictureSide
  state: PictureState
  lies: unknown
  width_px: number
  height_px: number
  digest: string
  taken_at: string
  taken_by: string
}

const NAMES = ['side', 'state', 'lies', 'width_px', 'height_px', 'digest', 'taken_at', 'taken_by']
const IDS = ['id', 'coupon_id', 'student_id']
const columns = (of: string) =>
  [...IDS.map(name => `CAST(${of}${name} AS CHAR(36)) AS ${name}`), ...NAMES.map(name => `${of}${name}`)].join(', ')
const COLUMNS = columns('')
const OF_PICTURE = columns('coupon_picture.')

const toPicture = (row: PictureRow): CouponPicture => ({
  id: row.id,
  couponId: row.coupon_id,
  studentId: row.student_id,
  side: row.side,
  state: row.state,
  lies: row.lies === null ? null : fromJson<PictureLies>(row.lies),
  widthPx: row.width_px,
  heightPx: row.height_px,
  takenAt: toIso(row.taken_at),
  by: row.taken_by,
})

async function pictureRow(on: Queries, id: string): Promise<PictureRow | null> {
  const [row] = await rows<PictureRow>(on, `SELECT ${COLUMNS} FROM coupon_picture WHERE id = ?`, [id])
  return row ?? null
}

/** Pictures of a coupon, the first one taken first; of one that is not saved yet too. */
export async function picturesOf(couponId: string): Promise<CouponPicture[]> {
  const found = await rows<PictureRow>(
    database(),
    `SELECT ${COLUMNS} FROM coupon_picture WHERE coupon_id = ? ORDER BY taken_at, coupon_picture.id`,
    [couponId],
  )
  return found.map(toPicture)
}

/** All pictures of a student, with their bytes; a file that is lost is null. */
export async function picturesWithBytes(
  studentId: string,
): Promise<(CouponPicture & { readonly data: string | null })[]> {
  const found = await rows<PictureRow>(
    database(),
    `SELECT ${COLUMNS} FROM coupon_picture WHERE student_id = ? ORDER BY taken_at, coupon_picture.id`,
    [studentId],
  )
  const bytes = await Promise.all(found.map(row => readPictureFile(row.student_id, row.digest)))
  return found.map((row, n) => ({ ...toPicture(row), data: bytes[n]?.toString('base64') ?? null }))
}

/** Most pictures that a reader's widths are held against. */
const MOST_GAUGED = 40

/** Pictures of chipped coupons that a person read and gauged a width on, the newest first. */
export async function gaugedPictures({ id, sectionIds }: Pick<Me, 'id' | 'sectionIds'>): Promise<GaugedPicture[]> {
  const { sql, values } = within('student.section_id', sectionIds)
  const found = await rows<PictureRow & { document: unknown }>(
    database(),
    `SELECT ${OF_PICTURE}, coupon.document
      FROM coupon_picture JOIN coupon ON coupon.id = coupon_picture.coupon_id
      JOIN student ON student.id = coupon.student_id
      WHERE coupon.saved_by = ? AND coupon_picture.state = 'slag off' AND coupon_picture.lies IS NOT NULL
        AND JSON_CONTAINS(JSON_EXTRACT(coupon.document, '$.marks[*].of'), '"width"') AND ${sql}
      ORDER BY coupon.id DESC, coupon_picture.taken_at DESC, coupon_picture.id DESC LIMIT ${MOST_GAUGED}`,
    [id, ...values],
  )
  return found.map(row => ({ picture: toPicture(row), document: fromJson(row.document) }))
}

/** Whose picture it is, and its bytes; null where there is no such picture, `bytes` where its file is lost. */
export async function findPicture(id: string): Promise<{ studentId: string; bytes: Buffer | null } | null> {
  const row = await pictureRow(database(), id)
  return row ? { studentId: row.student_id, bytes: await readPictureFile(row.student_id, row.digest) } : null
}

export type PictureKept = 'kept' | 'no such student' | 'coupon of another' | 'another picture' | 'too many'

/**
 * Keeps a picture, or how one that is kept lies on its coupon. The same again is one picture; another one under the
 * same id is refused, as is one too many of a coupon.
 */
export async function keepPicture(
  id: string,
  { data, couponId, studentId, side, state, lies, widthPx, heightPx }: PictureSave,
  by: { readonly name: string; readonly now: Date },
): Promise<PictureKept> {
  const bytes = Buffer.from(data, 'base64')
  const digest = digestOf(bytes)
  return inTransaction(database(), async on => {
    const student = await rows(on, 'SELECT 1 FROM student WHERE id = ? AND erased_at IS NULL FOR UPDATE', [studentId])
    if (student.length === 0) return 'no such student'
    const other = await rows(on, 'SELECT 1 FROM coupon WHERE id = ? AND student_id <> ?', [couponId, studentId])
    if (other.length > 0) return 'coupon of another'
    const before = await pictureRow(on, id)
    if (before && (before.coupon_id !== couponId || before.student_id !== studentId)) return 'another picture'
    const there = await rows(on, 'SELECT 1 FROM coupon_picture WHERE coupon_id = ? AND id <> ?', [couponId, id])
    if (there.length >= MOST_PICTURES) return 'too many'
    if (before && before.digest !== digest) return 'another picture'
    await keepPictureFile(studentId, bytes)
    const shows = { side, state, lies: lies === null ? null : JSON.stringify(lies) }
    if (before)
      await run(on, 'UPDATE coupon_picture SET side = ?, state = ?, lies = ? WHERE id = ?', [
        shows.side,
        shows.state,
        shows.lies,
        id,
      ])
    else
      await insertRow(on, 'coupon_picture', {
        ...{ id, coupon_id: couponId, student_id: studentId, ...shows, width_px: widthPx, height_px: heightPx, digest },
        ...{ taken_at: toDateTime(by.now), taken_by: by.name },
      })
    return 'kept'
  })
}

/** The file of every picture that is kept, as `student/digest.jpg`. */
export const pictureFilesNamed = async (on: Queries): Promise<string[]> =>
  (
    await rows<{ file: string }>(
      on,
      `SELECT DISTINCT CONCAT(CAST(student_id AS CHAR(36)), '/', digest, '.jpg') AS file FROM coupon_picture`,
    )
  ).map(row => row.file)

/** Erases a picture, its file with its row. False where there is no such one. */
export async function erasePicture(id: string): Promise<boolean> {
  const found = await pictureRow(database(), id)
  if (!found) return false
  await inTransaction(database(), on => takeAway(on, found))
  return true
}

async function takeAway(on: Queries, { id, student_id: studentId, digest }: PictureRow): Promise<void> {
  await rows(on, 'SELECT 1 FROM student WHERE id = ? FOR UPDATE', [studentId])
  await run(on, 'DELETE FROM coupon_picture WHERE id = ?', [id])
  const same = await rows(on, 'SELECT 1 FROM coupon_picture WHERE student_id = ? AND digest = ?', [studentId, digest])
  if (same.length === 0) await dropPictureFile(studentId, digest)
}

/** Pictures of coupons that were never saved are kept for so long, days: a tablet may be out of reach meanwhile. */
const WAITS_DAYS = 30

/** Erases pictures whose coupon was never saved. @returns how many */
export async function forgetUnsavedPictures(now: Date): Promise<number> {
  const before = toDateTime(new Date(now.getTime() - WAITS_DAYS * 86_400_000))
  const left = await rows<PictureRow>(
    database(),
    `SELECT ${COLUMNS} FROM coupon_picture WHERE taken_at < ?
      AND NOT EXISTS (SELECT 1 FROM coupon WHERE coupon.id = coupon_picture.coupon_id) LIMIT 50`,
    [before],
  )
  for (const row of left) await inTransaction(database(), on => takeAway(on, row))
  return left.length
}
