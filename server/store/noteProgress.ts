import { run, type Queries } from './database'

/** Says, in the transaction that changes what it rests on, that a student's progress is to be computed again. */
export async function noteProgress(on: Queries, studentId: string): Promise<void> {
  await run(
    on,
    'INSERT INTO student_progress (student_id, serial) VALUES (?, 1) ON DUPLICATE KEY UPDATE serial = serial + 1',
    [studentId],
  )
}
