import type { NextPin, PinSave } from '../../contract/progress'
import { database, rows, run, toDateTime, toIso } from './database'

/** What an instructor wants students to run next, by student; one without a pin is not there. */
export async function pinsOf(studentIds: readonly string[]): Promise<Map<string, NextPin>> {
  if (studentIds.length === 0) return new Map()
  const found = await rows<{
    student_id: string
    rung_id: string
    over_rung: string
    pinned_by: string
    pinned_at: string
  }>(
    database(),
    `SELECT student_id, rung_id, over_rung, pinned_by, pinned_at FROM next_pin
    WHERE student_id IN (${studentIds.map(() => '?').join(', ')})`,
    studentIds,
  )
  return new Map(
    found.map(row => [
      row.student_id,
      { rungId: row.rung_id, over: row.over_rung, by: row.pinned_by, at: toIso(row.pinned_at) },
    ]),
  )
}

/** Pins what a student runs next, or takes the pin out. */
export async function setPin(
  studentId: string,
  { rungId, over }: PinSave,
  by: { name: string; now: Date },
): Promise<void> {
  if (rungId === null) await run(database(), 'DELETE FROM next_pin WHERE student_id = ?', [studentId])
  else
    await run(
      database(),
      `INSERT INTO next_pin (student_id, rung_id, over_rung, pinned_by, pinned_at) VALUES (?, ?, ?, ?, ?)
    ON DUPLICATE KEY UPDATE rung_id = VALUES(rung_id), over_rung = VALUES(over_rung),
      pinned_by = VALUES(pinned_by), pinned_at = VALUES(pinned_at)`,
      [studentId, rungId, over, by.name, toDateTime(by.now)],
    )
}
