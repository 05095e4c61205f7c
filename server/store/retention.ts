import { addMonths, formatISO, parseISO } from 'date-fns'
import type { Leaver, Retention } from '../../contract/retention'
import { database, rows, run } from './database'

/** For how long the school keeps the record of a student who left, months; null where it has not said. */
export async function keepMonths(): Promise<number | null> {
  const [row] = await rows<{ months: number | null }>(database(), 'SELECT keep_months AS months FROM school')
  return row?.months ?? null
}

export async function keepFor(months: number | null): Promise<void> {
  await run(database(), 'UPDATE school SET keep_months = ?', [months])
}

/** Those who left, and when each record goes; the first to go on top. */
export async function findRetention(today: string): Promise<Retention> {
  const [months, left] = await Promise.all([
    keepMonths(),
    rows<Pick<Leaver, 'id' | 'name' | 'section' | 'leftOn'>>(
      database(),
      `SELECT student.id, student.name, section.name AS section, left_on AS leftOn
      FROM student JOIN section ON section.id = section_id
      WHERE NOT active AND erased_at IS NULL AND left_on IS NOT NULL ORDER BY left_on, student.name`,
    ),
  ])
  const leavers = left.map(one => {
    const goesOn =
      months === null ? null : formatISO(addMonths(parseISO(one.leftOn), months), { representation: 'date' })
    return { ...one, goesOn, due: goesOn !== null && goesOn <= today }
  })
  return { months, leavers }
}
