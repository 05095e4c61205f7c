import { database, rows } from './database'

/** Bends of students' tests, and how many of them opened, by student. */
export async function bendsOf(studentIds: readonly string[]): Promise<Map<string, { bent: number; opened: number }>> {
  const found =
    studentIds.length === 0
      ? []
      : await rows<{ student_id: string; bent: string; opened: string }>(
          database(),
          `SELECT student_id, SUM(bent) AS bent, SUM(opened) AS opened FROM test_record
          WHERE student_id IN (${studentIds.map(() => '?').join(', ')}) GROUP BY student_id`,
          studentIds,
        )
  const sums = new Map(found.map(row => [row.student_id, { bent: Number(row.bent), opened: Number(row.opened) }]))
  return new Map(studentIds.map(id => [id, sums.get(id) ?? { bent: 0, opened: 0 }]))
}
