import { database, rows } from './database'

/** Bends of a student's tests, and how many of them opened. */
export async function bendsOfStudent(studentId: string): Promise<{ bent: number; opened: number }> {
  const [row] = await rows<{ bent: string | null; opened: string | null }>(
    database(),
    'SELECT SUM(bent) AS bent, SUM(opened) AS opened FROM test_record WHERE student_id = ?',
    [studentId],
  )
  return { bent: Number(row?.bent ?? 0), opened: Number(row?.opened ?? 0) }
}
