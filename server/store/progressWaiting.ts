import { database, rows } from './database'

/** How many students' progress is to be computed again. */
export async function progressWaiting(): Promise<number> {
  const [row] = await rows<{ n: number }>(
    database(),
    'SELECT COUNT(*) AS n FROM student_progress WHERE computed IS NULL OR computed <> serial',
  )
  return Number(row!.n)
}
