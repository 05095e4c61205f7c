/** A condition that a column holds one of these ids; true of all where there is no such limit. */
export function within(column: 'section.id' | 'section_id' | 'student.section_id', ids: readonly string[] | null) {
  if (ids === null) return { sql: 'TRUE', values: [] as string[] }
  if (ids.length === 0) return { sql: 'FALSE', values: [] as string[] }
  return { sql: `${column} IN (${ids.map(() => '?').join(', ')})`, values: [...ids] }
}
