import type { NextPin, PinSave } from '../../contract/progress'
import { database, rows, run, toDateTime, toIso } from './database'

/** What an instructor wants a student to run next; null when nothing is pinned. */
export async function pinOf(studentId: string): Promise<NextPin | null> {
  const [row] = await rows<{ rung_id: string; over_rung: string; pinned_by: string; pinned_at: string }>(
    database(),
    'SELECT rung_id, over_rung, pinned_by, pinned_at FROM next_pin WHERE student_id = ?',
    [studentId],
  )
  return row ? { rungId: row.rung_id, over: row.over_rung, by: row.pinned_by, at: toIso(row.pinned_at) } : null
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
    ON DUPLICATE KEY UPDATE rung_id = VALUES(rung_id), over_rung = VALUES(over_rung), pinned_by = VALUES(pinned_by), pinned_at = VALUES(pinned_at)`,
      [studentId, rungId, over, by.name, toDateTime(by.now)],
    )
}
