import { v7 as uuid } from 'uuid'
import type { Section, SectionFields } from '../../contract/people'
import { database, fromJson, rows, run, type Queries } from './database'
import { daysOffOf } from './schoolCalendar'
import { within } from './within'

interface SectionRow {
  id: string
  name: string
  meetings: unknown
  term_from: string
  term_to: string
  students: number
}

/** The sections of the school, or those of them that are taught. */
export async function listSections(taught: readonly string[] | null): Promise<Section[]> {
  const { sql, values } = within('section.id', taught)
  const daysOff = await daysOffOf()
  const found = await rows<SectionRow>(
    database(),
    `
    SELECT section.id, section.name, meetings, term_from, term_to, COUNT(student.id) AS students
    FROM section LEFT JOIN student ON student.section_id = section.id AND student.active
    WHERE ${sql} GROUP BY section.id ORDER BY section.name`,
    values,
  )
  return found.map(row => ({ ...toFields(row), daysOff: daysOff(row.id), students: row.students }))
}

const toFields = (row: Omit<SectionRow, 'students'>): SectionFields & Pick<Section, 'id'> => ({
  id: row.id,
  name: row.name,
  meetings: fromJson(row.meetings),
  termFrom: row.term_from,
  termTo: row.term_to,
})

/** Null where there is no such section. */
export async function findSection(id: string): Promise<Omit<Section, 'students'> | null> {
  const [row] = await rows<Omit<SectionRow, 'students'>>(
    database(),
    'SELECT id, name, meetings, term_from, term_to FROM section WHERE id = ?',
    [id],
  )
  return row ? { ...toFields(row), daysOff: (await daysOffOf())(id) } : null
}

export async function addSection(fields: SectionFields, on: Queries = database()): Promise<Section> {
  const id = uuid()
  await run(on, 'INSERT INTO section (id, name, meetings, term_from, term_to) VALUES (?, ?, ?, ?, ?)', [
    id,
    fields.name,
    JSON.stringify(fields.meetings),
    fields.termFrom,
    fields.termTo,
  ])
  return { id, students: 0, daysOff: (await daysOffOf())(id), ...fields }
}

export async function changeSection(id: string, fields: SectionFields): Promise<boolean> {
  const touched = await run(
    database(),
    'UPDATE section SET name = ?, meetings = ?, term_from = ?, term_to = ? WHERE id = ?',
    [fields.name, JSON.stringify(fields.meetings), fields.termFrom, fields.termTo, id],
  )
  return touched > 0
}

export async function sectionExists(id: string): Promise<boolean> {
  return (await rows(database(), 'SELECT 1 FROM section WHERE id = ?', [id])).length > 0
}
