import type { SignOff, SignOffSave } from '../../contract/progress'
import { database, isDuplicate, rows, run, toDateTime, toIso } from './database'

interface SignOffRow {
  id: string
  student_id: string
  rung_id: string
  out_of_turn: SignOff['outOfTurn']
  stood: string
  why: string
  signed_by: string
  signed_at: string
}

const toSignOff = (row: SignOffRow): SignOff => ({
  id: row.id,
  rungId: row.rung_id,
  outOfTurn: row.out_of_turn,
  stood: row.stood,
  why: row.why,
  by: row.signed_by,
  at: toIso(row.signed_at),
})

/** The rungs that are signed off, by student, oldest first. */
export async function signOffsOf(studentIds: readonly string[]): Promise<Map<string, SignOff[]>> {
  const found =
    studentIds.length === 0
      ? []
      : await rows<SignOffRow>(
          database(),
          `
    SELECT id, student_id, rung_id, out_of_turn, stood, why, signed_by, signed_at FROM sign_off
    WHERE live = 1 AND student_id IN (${studentIds.map(() => '?').join(', ')}) ORDER BY signed_at`,
          studentIds,
        )
  return new Map(studentIds.map(id => [id, found.filter(row => row.student_id === id).map(toSignOff)]))
}

/** Puts an instructor's name on a rung. The same again is one sign-off; false when the rung is signed off already. */
export async function addSignOff(
  id: string,
  { studentId, rungId, why }: SignOffSave,
  signed: { outOfTurn: SignOff['outOfTurn']; stood: string; by: string; now: Date },
): Promise<boolean> {
  try {
    await run(
      database(),
      `INSERT INTO sign_off (id, student_id, rung_id, live, out_of_turn, stood, why, signed_by, signed_at)
        VALUES (?, ?, ?, 1, ?, ?, ?, ?, ?)`,
      [id, studentId, rungId, signed.outOfTurn, signed.stood, why, signed.by, toDateTime(signed.now)],
    )
    return true
  } catch (error) {
    if (!isDuplicate(error)) throw error
    return (
      (
        await rows(database(), 'SELECT 1 FROM sign_off WHERE id = ? AND student_id = ? AND rung_id = ? AND live = 1', [
          id,
          studentId,
          rungId,
        ])
      ).length > 0
    )
  }
}

/** Takes a sign-off back; it stays in the record with who and why. False when there is none that stands. */
export async function takeBackSignOff(id: string, by: { name: string; why: string; now: Date }): Promise<boolean> {
  return (
    (await run(
      database(),
      `UPDATE sign_off SET live = NULL, taken_back_by = ?, taken_back_at = ?, taken_back_why = ?
        WHERE id = ? AND live = 1`,
      [by.name, toDateTime(by.now), by.why, id],
    )) > 0
  )
}
