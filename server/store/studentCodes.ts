import type { Kiosk } from '../../contract/blindReadings'
import { database, rows, run } from './database'

/** Gives a student the code to read with at the shared tablet. False when there is no such student. */
export async function setStudentCode(studentId: string, codeHash: string): Promise<boolean> {
  // A student who reads at a tablet by the old code is out.
  return (
    (await run(database(), 'UPDATE student SET code_hash = ?, session_number = session_number + 1 WHERE id = ?', [
      codeHash,
      studentId,
    ])) > 0
  )
}

/** A student's code, hashed; null when the student is not of this section, is archived, or has none. */
export async function codeOf(
  studentId: string,
  sectionId: string,
): Promise<{ readonly hash: string; readonly number: number } | null> {
  const [row] = await rows<{ code_hash: string | null; session_number: number }>(
    database(),
    'SELECT code_hash, session_number FROM student WHERE id = ? AND section_id = ? AND active',
    [studentId, sectionId],
  )
  return row?.code_hash ? { hash: row.code_hash, number: row.session_number } : null
}

/** Whether a student still reads under this number, and in this section. */
export async function isStudentOf(
  { id, number }: { readonly id: string; readonly number: number },
  sectionId: string,
): Promise<boolean> {
  const found = await rows(
    database(),
    'SELECT 1 FROM student WHERE id = ? AND section_id = ? AND session_number = ? AND active',
    [id, sectionId, number],
  )
  return found.length > 0
}

/** Who may read at the tablet of a section; null when there is no such section. */
export async function kioskOf(sectionId: string): Promise<Pick<Kiosk, 'sectionId' | 'section' | 'students'> | null> {
  const [section] = await rows<{ name: string }>(database(), 'SELECT name FROM section WHERE id = ?', [sectionId])
  if (!section) return null
  const students = await rows<{ id: string; name: string; booth: number | null; has_code: number }>(
    database(),
    `SELECT id, name, booth, code_hash IS NOT NULL AS has_code FROM student
    WHERE section_id = ? AND active ORDER BY name`,
    [sectionId],
  )
  return {
    sectionId,
    section: section.name,
    students: students.map(({ has_code: has, ...student }) => ({ ...student, hasCode: has === 1 })),
  }
}
