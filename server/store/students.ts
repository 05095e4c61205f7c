import { v7 as uuid } from 'uuid'
import { ownCopy } from '../../core/agreement'
import { runAgain, type CouponDocument, type Verdict } from '../../core/coupon'
import type { FloorStudent, RosterImport, Student, StudentFields } from '../../contract/people'
import { schoolDay } from './school'
import { database, fromJson, inTransaction, insertMany, rows, run, toIso } from './database'
import { noteProgress } from './noteProgress'

interface StudentRow {
  id: string
  name: string
  hand: 'right' | 'left'
  section_id: string
  start_date: string
  booth: number | null
  active: number
}

const COLUMNS =
  'student.id, student.name, student.hand, student.section_id, student.start_date, student.booth, student.active'

function toStudent(row: StudentRow): Student {
  return {
    id: row.id,
    name: row.name,
    hand: row.hand,
    sectionId: row.section_id,
    startDate: row.start_date,
    booth: row.booth,
    active: row.active === 1,
  }
}

export async function listStudents(sectionId: string): Promise<Student[]> {
  return (
    await rows<StudentRow>(
      database(),
      `SELECT ${COLUMNS} FROM student WHERE section_id = ? AND erased_at IS NULL ORDER BY active DESC, name`,
      [sectionId],
    )
  ).map(toStudent)
}

/** A student; null for one who was erased. */
export async function findStudent(id: string): Promise<Student | null> {
  const [row] = await rows<StudentRow>(
    database(),
    `SELECT ${COLUMNS} FROM student WHERE id = ? AND erased_at IS NULL`,
    [id],
  )
  return row ? toStudent(row) : null
}

export async function addStudent(fields: StudentFields): Promise<Student> {
  const id = uuid()
  await run(
    database(),
    'INSERT INTO student (id, name, hand, section_id, start_date, booth, active) VALUES (?, ?, ?, ?, ?, ?, ?)',
    [id, fields.name, fields.hand, fields.sectionId, fields.startDate, fields.booth, fields.active],
  )
  return { id, ...fields }
}

/** Changes a student. A student who is no longer active has left on that day, and has not when taken up again. */
export async function changeStudent(id: string, fields: StudentFields, today: string): Promise<boolean> {
  return inTransaction(database(), async on => {
    const [before] = await rows<{ hand: string }>(
      on,
      'SELECT hand FROM student WHERE id = ? AND erased_at IS NULL FOR UPDATE',
      [id],
    )
    if (!before) return false
    await run(
      on,
      `UPDATE student SET name = ?, hand = ?, section_id = ?, start_date = ?, booth = ?, active = ?,
        left_on = IF(?, NULL, COALESCE(left_on, ?)) WHERE id = ?`,
      [
        fields.name,
        fields.hand,
        fields.sectionId,
        fields.startDate,
        fields.booth,
        fields.active,
        fields.active,
        today,
        id,
      ],
    )
    // Which work was done with the other hand follows from it.
    if (before.hand !== fields.hand) await noteProgress(on, id)
    return true
  })
}

/** Adds a whole roster, or none of it. */
export async function importRoster({ sectionId, students }: RosterImport): Promise<Student[]> {
  const added = students.map(student => ({ ...student, id: uuid(), sectionId, active: true }))
  await inTransaction(database(), on =>
    insertMany(
      on,
      'INSERT INTO student (id, name, hand, section_id, start_date, booth, active) VALUES ?',
      added.map(student => [student.id, student.name, student.hand, sectionId, student.startDate, student.booth, true]),
    ),
  )
  return added
}

interface FloorRow extends StudentRow {
  coupon_id: string | null
  class_day: string
  saved_at: string
  verdict: Verdict
  next_run: string
  told_cause: string | null
  document: unknown
  read_id: string | null
  read_document: unknown
}

/** The active students of a section, each with the newest coupon: what the instructor sees walking the floor. */
export async function listFloor(sectionId: string): Promise<FloorStudent[]> {
  const found = await rows<FloorRow>(
    database(),
    `
    SELECT ${COLUMNS}, coupon.id AS coupon_id, coupon.class_day, coupon.saved_at, coupon.verdict, coupon.next_run,
      coupon.told_cause, coupon.document,
      blind_reading.coupon_id AS read_id, blind_reading.document AS read_document
    FROM student LEFT JOIN coupon ON coupon.id = (
      SELECT newest.id FROM coupon AS newest WHERE newest.student_id = student.id
        ORDER BY newest.class_day DESC, newest.id DESC LIMIT 1)
    LEFT JOIN blind_reading ON blind_reading.id = (
      SELECT own.id FROM blind_reading AS own WHERE own.student_id = student.id AND own.reader_kind = 'student'
        AND own.made_at > UTC_TIMESTAMP() - INTERVAL 7 DAY
        AND NOT EXISTS (SELECT 1 FROM coupon AS kept WHERE kept.id = own.coupon_id) ORDER BY own.made_at DESC LIMIT 1)
    WHERE student.section_id = ? AND student.active ORDER BY student.name`,
    [sectionId],
  )
  return found.map(row => ({
    ...toStudent(row),
    last: row.coupon_id === null ? null : lastCoupon(row.coupon_id, row),
    selfRead: selfRead(row),
  }))
}

function lastCoupon(couponId: string, row: FloorRow): NonNullable<FloorStudent['last']> {
  const document = fromJson<CouponDocument>(row.document)
  return {
    couponId,
    classDay: row.class_day,
    savedAt: toIso(row.saved_at),
    verdict: row.verdict,
    nextRun: row.next_run,
    toldCause: row.told_cause,
    ...runAgain(document),
  }
}

function selfRead({ read_id: couponId, read_document: document }: FloorRow): FloorStudent['selfRead'] {
  return couponId === null ? null : { couponId, document: ownCopy(fromJson<CouponDocument>(document)) }
}

/** The active students of a section, and whether a coupon of each was read on the class day of a moment. */
export async function readOn(
  sectionId: string,
  now: Date,
): Promise<(Pick<Student, 'id' | 'name' | 'booth'> & { readonly readToday: boolean })[]> {
  const found = await rows<{ id: string; name: string; booth: number | null; read_today: number }>(
    database(),
    `SELECT id, name, booth,
      EXISTS (SELECT 1 FROM coupon WHERE coupon.student_id = student.id AND class_day = ?) AS read_today
    FROM student WHERE section_id = ? AND active`,
    [await schoolDay(now), sectionId],
  )
  return found.map(({ read_today: read, ...row }) => ({ ...row, readToday: read === 1 }))
}
