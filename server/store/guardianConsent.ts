import type { GuardianConsent, NotedConsent } from '../../contract/guardianConsent'
import { database, rows, run, toDateTime } from './database'

/** What is noted of a section's students who are under age, or were. */
export async function listConsents(sectionId: string): Promise<NotedConsent[]> {
  return rows<NotedConsent>(
    database(),
    `SELECT guardian_consent.student_id AS studentId, of_age_on AS ofAgeOn, given_on AS givenOn, given_by AS givenBy,
      account.name AS notedBy
    FROM guardian_consent JOIN student ON student.id = guardian_consent.student_id
    JOIN account ON account.id = noted_by
    WHERE section_id = ? AND erased_at IS NULL`,
    [sectionId],
  )
}

/** Notes it, in place of what was noted before; null takes it away. */
export async function noteConsent(
  studentId: string,
  consent: GuardianConsent | null,
  by: { readonly id: string; readonly now: Date },
): Promise<void> {
  if (!consent) {
    await run(database(), 'DELETE FROM guardian_consent WHERE student_id = ?', [studentId])
    return
  }
  await run(
    database(),
    `REPLACE INTO guardian_consent (student_id, of_age_on, given_on, given_by, noted_by, noted_at)
      VALUES (?, ?, ?, ?, ?, ?)`,
    [studentId, consent.ofAgeOn, consent.givenOn, consent.givenBy, by.id, toDateTime(by.now)],
  )
}
