import { minutesAReading, minutesUntil, queueOrder } from '../../core/floor'
import type { FloorQueue, Hold, QueuePlace, WaitingStudent } from '../../contract/floor'
import { database, inTransaction, isDuplicate, rows, run, toDateTime, toIso, type Queries } from './database'
import { floorSerials, noteFloor } from './floorSerial'
import { currentRules } from './houseRules'
import { schoolDay } from './school'
import { findStudent } from './students'

interface WaitingRow {
  id: string
  student_id: string
  name: string
  booth: number | null
  since: string
  said_by: 'student' | 'instructor'
  read_today: number
}

/** A hold that was not given back, of a tablet that went flat, is over after this. */
const HOLD_MINUTES = 30
/**
 * No wait lasts overnight: a student not read by then stands first tomorrow by being unread, not by a wait of a day.
 */
const WAIT_MINUTES = 12 * 60
const before = (now: Date, minutes: number) => toDateTime(new Date(now.getTime() - minutes * 60_000))

/** A section's queue, in the order in which it is read, as the day goes. */
export async function queueOf(sectionId: string, now: Date): Promise<FloorQueue> {
  // First: what changes while the rest is read has a later serial, and is asked for again.
  const [today, serials] = await Promise.all([schoolDay(now), floorSerials([sectionId])])
  const [{ rules }, waiting, holds, read] = await Promise.all([
    currentRules(),
    rows<WaitingRow>(
      database(),
      `SELECT waiting.id, waiting.student_id, student.name, student.booth, waiting.since, waiting.said_by,
        EXISTS (SELECT 1 FROM coupon WHERE coupon.student_id = student.id AND coupon.class_day = ?) AS read_today
      FROM waiting JOIN student ON student.id = waiting.student_id
      WHERE waiting.ended IS NULL AND waiting.since > ? AND student.section_id = ? AND student.active`,
      [today, before(now, WAIT_MINUTES), sectionId],
    ),
    holdsIn(sectionId, now),
    rows<{ saved_by: string; saved_at: string }>(
      database(),
      `SELECT coupon.saved_by, COALESCE(coupon.read_at, coupon.saved_at) AS saved_at FROM coupon JOIN student ON student.id = coupon.student_id
      WHERE student.section_id = ? AND coupon.class_day = ?`,
      [sectionId, today],
    ),
  ])
  const readings = read.map(row => ({ by: row.saved_by, at: toIso(row.saved_at) }))
  return {
    serial: serials.get(sectionId)!,
    waiting: queueOrder(waiting.map(toWaiting), rules.ways.queueOrder),
    holds,
    readings: readings.length,
    minutesAReading: minutesAReading(readings),
    readers: Math.max(1, new Set([...readings.map(one => one.by), ...holds.map(hold => hold.by.id)]).size),
  }
}

const toWaiting = (row: WaitingRow): WaitingStudent => ({
  id: row.id,
  studentId: row.student_id,
  name: row.name,
  booth: row.booth,
  since: toIso(row.since),
  saidBy: row.said_by,
  readToday: row.read_today === 1,
})

async function holdsIn(sectionId: string, now: Date): Promise<Hold[]> {
  const found = await rows<{ student_id: string; account_id: string; name: string }>(
    database(),
    `SELECT reading_hold.student_id, reading_hold.account_id, account.name
    FROM reading_hold JOIN account ON account.id = reading_hold.account_id
    JOIN student ON student.id = reading_hold.student_id
    WHERE student.section_id = ? AND reading_hold.since > ?`,
    [sectionId, before(now, HOLD_MINUTES)],
  )
  return found.map(row => ({ studentId: row.student_id, by: { id: row.account_id, name: row.name } }))
}

/** A student's coupon is ready. The same again, or while the student waits, changes nothing. */
export async function setReady(
  id: string,
  studentId: string,
  saidBy: WaitingStudent['saidBy'],
  now: Date,
): Promise<void> {
  await inTransaction(database(), async on => {
    await run(
      on,
      "UPDATE waiting SET ended = ?, how = 'taken back' WHERE student_id = ? AND ended IS NULL AND since <= ?",
      [toDateTime(now), studentId, before(now, WAIT_MINUTES)],
    )
    try {
      await run(on, 'INSERT INTO waiting (id, student_id, since, said_by) VALUES (?, ?, ?, ?)', [
        id,
        studentId,
        toDateTime(now),
        saidBy,
      ])
    } catch (error) {
      if (isDuplicate(error)) return
      throw error
    }
    await noteFloor(on, studentId)
  })
}

/** Whose coupon a wait is of; null when there is no such wait. */
export async function waiterOf(id: string): Promise<string | null> {
  const [row] = await rows<{ student_id: string }>(database(), 'SELECT student_id FROM waiting WHERE id = ?', [id])
  return row?.student_id ?? null
}

/** It is not ready after all; what is over stays over. */
export async function takeBackReady(id: string, studentId: string, now: Date): Promise<void> {
  await inTransaction(database(), async on => {
    const ended = await run(on, "UPDATE waiting SET ended = ?, how = 'taken back' WHERE id = ? AND ended IS NULL", [
      toDateTime(now),
      id,
    ])
    if (ended > 0) await noteFloor(on, studentId)
  })
}

/**
 * A coupon of this student was read: what was waited for until then is over, and who held it holds it no more. One that
 * was said to be ready after that waits on.
 */
export async function endWait(on: Queries, studentId: string, readAt: Date): Promise<void> {
  const then = toDateTime(readAt)
  await run(on, "UPDATE waiting SET ended = ?, how = 'read' WHERE student_id = ? AND ended IS NULL AND since <= ?", [
    then,
    studentId,
    then,
  ])
  await run(on, 'DELETE FROM reading_hold WHERE student_id = ? AND since <= ?', [studentId, then])
  await noteFloor(on, studentId)
}

/** An instructor opens a student's coupon; the one who opens it later takes it over. */
export async function holdStudent(studentId: string, accountId: string, now: Date): Promise<void> {
  await inTransaction(database(), async on => {
    await run(
      on,
      `INSERT INTO reading_hold (student_id, account_id, since) VALUES (?, ?, ?)
      ON DUPLICATE KEY UPDATE account_id = VALUES(account_id), since = VALUES(since)`,
      [studentId, accountId, toDateTime(now)],
    )
    await noteFloor(on, studentId)
  })
}

/** It is put aside; a hold that another instructor has taken over stays. */
export async function letGo(studentId: string, accountId: string): Promise<void> {
  await inTransaction(database(), async on => {
    const gone = await run(on, 'DELETE FROM reading_hold WHERE student_id = ? AND account_id = ?', [
      studentId,
      accountId,
    ])
    if (gone > 0) await noteFloor(on, studentId)
  })
}

/** Where a student stands in the queue of the own section. */
export async function placeOf(studentId: string, now: Date): Promise<QueuePlace> {
  const student = await findStudent(studentId)
  if (!student) return { waiting: null }
  const { waiting, minutesAReading: minutes, readers } = await queueOf(student.sectionId, now)
  const place = waiting.findIndex(one => one.studentId === studentId) + 1
  if (place === 0) return { waiting: null }
  const { id, since } = waiting[place - 1]!
  return { waiting: { id, since, place, minutes: minutesUntil(place, minutes, readers) } }
}
