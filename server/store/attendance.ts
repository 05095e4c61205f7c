import { classDayAt, wallClockAt, type ClassDay, type SchoolClock } from '../../core/calendar'
import type { AttendanceNote } from '../../core/floor'
import type { AttendanceSave } from '../../contract/day'
import { database, inTransaction, isDuplicate, rows, run, toDateTime, toIso } from './database'
import { noteFloor } from './floorSerial'

/** Notes something of a student's day. The same again is one note. */
export async function addAttendanceNote(
  id: string,
  { studentId, classDay, came, left, absent, why }: AttendanceSave,
  by: { readonly name: string; readonly now: Date },
): Promise<void> {
  await inTransaction(database(), async on => {
    try {
      await run(
        on,
        `INSERT INTO attendance_note (id, student_id, class_day, came, left_at, absent, why, noted_by, noted_at)
        VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
        [id, studentId, classDay, came, left, absent, why, by.name, toDateTime(by.now)],
      )
    } catch (error) {
      if (isDuplicate(error)) return
      throw error
    }
    await noteFloor(on, studentId)
  })
}

/** A note as it was made: by whom, and when (ISO 8601). */
export type NoteMade = AttendanceNote & { readonly by: string; readonly at: string }

/** What is known of a student's class day. */
export interface DayKnown {
  readonly note: NoteMade | null
  /** When something of the student's happened, wall clock. */
  readonly seen: readonly string[]
  /** Coupons of that day were read, if only on a later one. */
  readonly ran: boolean
}

interface NoteRow {
  student_id: string
  class_day: string
  came: string | null
  left_at: string | null
  absent: number
  why: string
  noted_by: string
  noted_at: string
}

/** A TIME of the database as a wall clock shows it. */
const wall = (time: string | null) => time?.slice(0, 5) ?? null

const toNote = (row: NoteRow): NoteMade => ({
  came: wall(row.came),
  left: wall(row.left_at),
  absent: row.absent === 1,
  why: row.why,
  by: row.noted_by,
  at: toIso(row.noted_at),
})

/**
 * The class days of students between two days, both included: by student and day, with the note that stands and when
 * each was seen. A coupon counts when it was first saved, and on its own day: one that is graded again a week later
 * says nothing of where its student was.
 */
export async function daysKnown(
  studentIds: readonly string[],
  { from, to, clock }: { readonly from: ClassDay; readonly to: ClassDay; readonly clock: SchoolClock },
): Promise<Map<string, Map<ClassDay, DayKnown>>> {
  const known = new Map(studentIds.map(id => [id, new Map<ClassDay, DayKnown>()]))
  if (studentIds.length === 0) return known
  const marks = studentIds.map(() => '?').join(', ')
  const [notes, seen] = await Promise.all([
    rows<NoteRow>(
      database(),
      `SELECT student_id, class_day, came, left_at, absent, why, noted_by, noted_at FROM attendance_note
      WHERE student_id IN (${marks}) AND class_day BETWEEN ? AND ? ORDER BY noted_at, id`,
      [...studentIds, from, to],
    ),
    rows<{ student_id: string; class_day: string | null; at: string }>(
      database(),
      `SELECT student_id, class_day, COALESCE(
          (SELECT MIN(saved_at) FROM coupon_revision WHERE coupon_id = coupon.id), coupon.saved_at) AS at
        FROM coupon WHERE student_id IN (${marks}) AND class_day BETWEEN ? AND ?
      UNION ALL SELECT student_id, class_day, made_at FROM blind_reading
        WHERE reader_kind = 'student' AND student_id IN (${marks}) AND class_day BETWEEN ? AND ?
      UNION ALL SELECT student_id, NULL, since FROM waiting
        WHERE student_id IN (${marks}) AND since BETWEEN ? - INTERVAL 1 DAY AND ? + INTERVAL 2 DAY`,
      [...studentIds, from, to, ...studentIds, from, to, ...studentIds, from, to],
    ),
  ])
  const dayOf = (studentId: string, day: ClassDay): DayKnown =>
    known.get(studentId)!.get(day) ?? { note: null, seen: [], ran: false }
  for (const row of seen) {
    const moment = new Date(toIso(row.at))
    const on = classDayAt(moment, clock)
    const day = row.class_day ?? on
    if (day < from || day > to) continue
    const before = dayOf(row.student_id, day)
    known.get(row.student_id)!.set(day, {
      ...before,
      ran: before.ran || row.class_day !== null,
      seen: on === day ? [...before.seen, wallClockAt(moment, clock.zone)] : before.seen,
    })
  }
  // The newest note stands: they come oldest first.
  for (const row of notes)
    known.get(row.student_id)!.set(row.class_day, { ...dayOf(row.student_id, row.class_day), note: toNote(row) })
  return known
}
