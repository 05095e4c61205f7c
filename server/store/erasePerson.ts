import { database, inTransaction, rows, run, toDateTime, type Queries } from './database'
import { noteFloor } from './floorSerial'
import { dropPicturesOf } from './pictureFiles'

/** What is left of a name. */
export const ERASED = 'erased'

/** What goes with a person: words about them, the way in, and what was only for the day. */
const GOES = [
  'DELETE coupon_revision FROM coupon_revision JOIN coupon ON coupon.id = coupon_id WHERE student_id = ?',
  'DELETE test_revision FROM test_revision JOIN test_record ON test_record.id = test_id WHERE student_id = ?',
  // Own words are emptied, not taken away: what was told stays told, to be counted again.
  `UPDATE coupon SET next_run = '', document = JSON_REPLACE(document, '$.nextRun', '')
    WHERE student_id = ? AND JSON_VALUE(document, '$.nextRun') IS NOT NULL`,
  `UPDATE coupon SET document = JSON_REPLACE(document, '$.notes', '', '$.overrule.reason', '', '$.toldBefore.says', '')
    WHERE student_id = ?`,
  `UPDATE test_record SET document = JSON_REPLACE(document, '$.notes', '', '$.stamp', '') WHERE student_id = ?`,
  `UPDATE blind_reading SET document = JSON_REPLACE(document, '$.notes', '', '$.nextRun', '', '$.overrule.reason', '',
    '$.toldBefore.says', '') WHERE student_id = ?`,
  `UPDATE sign_off SET why = '', taken_back_why = IF(taken_back_why IS NULL, NULL, '') WHERE student_id = ?`,
  'DELETE FROM coupon_picture WHERE student_id = ?',
  'DELETE FROM remark WHERE student_id = ?',
  `UPDATE attendance_note SET why = '' WHERE student_id = ?`,
  'DELETE FROM guardian_consent WHERE student_id = ?',
  `UPDATE caution_read SET said_by = '${ERASED}' WHERE student_id = ?`,
  `UPDATE rod_movement SET why = '', student_id = NULL WHERE student_id = ?`,
  'DELETE FROM waiting WHERE student_id = ?',
  'DELETE FROM reading_hold WHERE student_id = ?',
  'DELETE recovery_code FROM recovery_code JOIN account ON account.id = account_id WHERE student_id = ?',
  'DELETE sign_in FROM sign_in JOIN account ON account.id = account_id WHERE student_id = ?',
  `UPDATE account SET name = '${ERASED}', username = CONCAT('gone-', REPLACE(id, '-', '')), password_hash = '',
    code_secret = NULL, provider_subject = NULL, seal_key = NULL, active = FALSE, session_number = session_number + 1
      WHERE student_id = ?`,
] as const

/**
 * Erases a person: name, words and sign-in go; what was counted, which other numbers rest on, stays without a person.
 * It cannot be taken back. Backups made before still hold it, for as long as they are kept.
 * @param name as typed; another name than the student's erases nothing
 */
export async function erasePerson(
  id: string,
  { name, why }: { readonly name: string; readonly why: string },
  by: { readonly name: string; readonly now: Date },
): Promise<'erased' | 'not found' | 'another name'> {
  const outcome = await inTransaction(database(), async on => {
    const [row] = await rows<{ name: string }>(
      on,
      'SELECT name FROM student WHERE id = ? AND erased_at IS NULL FOR UPDATE',
      [id],
    )
    if (!row) return 'not found'
    if (row.name !== name) return 'another name'
    await erase(on, { id, at: toDateTime(by.now), by: by.name, why })
    return 'erased'
  })
  if (outcome === 'erased') await dropPicturesOf(id)
  return outcome
}

/** That a person was erased: who by the id alone, when, by whom and why. */
export interface Erased {
  readonly id: string
  /** DATETIME(3), UTC. */
  readonly at: string
  readonly by: string
  readonly why: string
}

async function erase(on: Queries, { id, at, by, why }: Erased): Promise<void> {
  await noteFloor(on, id)
  for (const sql of GOES) await run(on, sql, [id])
  await run(
    on,
    `UPDATE student SET name = ?, booth = NULL, active = FALSE, code_hash = NULL, session_number = session_number + 1,
      erased_at = ?, erased_by = ?, erased_why = ? WHERE id = ?`,
    [ERASED, at, by, why, id],
  )
}

/** Erases a person whom an older backup brought back. False where that one is not there, or is erased there too. */
export async function eraseAgain(on: Queries, erased: Erased): Promise<boolean> {
  const found = await rows(on, 'SELECT 1 FROM student WHERE id = ? AND erased_at IS NULL FOR UPDATE', [erased.id])
  if (found.length > 0) await erase(on, erased)
  return found.length > 0
}
