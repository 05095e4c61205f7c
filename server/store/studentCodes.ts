import type { Kiosk } from '../../contract/blindReadings'
import { database, rows, run } from './database'

/** Gives a student the code to read with at the shared tablet. False when there is no such student. */
export async function setStudentCode(studentId: string, codeHash: string): Promise<boolean> {
  return (await run(database(), 'UPDATE student SET code_hash = ? WHERE id = ?', [codeHash, studentId])) > 0
}

/** The hash of a student's code; null when the student is not of this section, is archived, or has none. */
export async function codeHashOf(studentId: string, sectionId: string): Promise<string | null> {
  const [row] = await rows<{ code_hash: string | null }>(
    database(),
    'SELECT code_hash FROM student WHERE id = ? AND section_id = ? AND active',
    [studentId, sectionId],
  )
  return row?.code_hash ?? null
}

/** Who may read at the tablet of a section; null when there is no such section. */
export async function kioskOf(sectionId: string): Promise<Omit<Kiosk, 'studentId'> | null> {
  const [section] = await rows<{ name: string }>(database(), 'SELECT name FROM section WHERE id = ?', [sectionId])
  if (!section) return null
  const students = await rows<{ id: string; name: string; has_code: number }>(
    database(),
    'SELECT id, name, code_hash IS NOT NULL AS has_code FROM student WHERE section_id = ? AND active ORDER BY name',
    [sectionId],
  )
  return {
    section: section.name,
    students: students.map(({ id, name, has_code: has }) => ({ id, name, hasCode: has === 1 })),
  }
}
