import type { ClassDay } from '../../core/calendar'
import type { Demonstration, DemonstrationSave } from '../../contract/day'
import { database, isDuplicate, rows, run, toDateTime } from './database'

/** What was shown to a section on a day, in order. */
export async function demonstrationsOf(sectionId: string, classDay: ClassDay): Promise<Demonstration[]> {
  const found = await rows<{ id: string; topic: string; minutes: number; students: number; given_by: string }>(
    database(),
    `SELECT id, topic, minutes, students, given_by FROM demonstration
    WHERE section_id = ? AND class_day = ? ORDER BY given_at, id`,
    [sectionId, classDay],
  )
  return found.map(({ given_by: by, ...row }) => ({ ...row, by, sectionId, classDay }))
}

/** Keeps that something was shown. The same again is one demonstration. */
export async function addDemonstration(
  id: string,
  { sectionId, classDay, topic, minutes, students }: DemonstrationSave,
  by: { readonly name: string; readonly now: Date },
): Promise<void> {
  try {
    await run(
      database(),
      `INSERT INTO demonstration (id, section_id, class_day, topic, minutes, students, given_by, given_at)
      VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
      [id, sectionId, classDay, topic, minutes, students, by.name, toDateTime(by.now)],
    )
  } catch (error) {
    if (!isDuplicate(error)) throw error
  }
}

/** Takes one back that was not given after all. False where there is no such one. */
export const removeDemonstration = async (id: string): Promise<boolean> =>
  (await run(database(), 'DELETE FROM demonstration WHERE id = ?', [id])) > 0
