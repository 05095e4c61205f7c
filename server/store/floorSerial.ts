import { database, rows, run, type Queries } from './database'

/** Says, in the transaction that changes it, that a section's floor is no longer as its screens show it. */
export async function noteFloor(on: Queries, studentId: string): Promise<void> {
  await run(
    on,
    `INSERT INTO floor_serial (section_id, serial) SELECT section_id, 1 FROM student WHERE id = ?
    ON DUPLICATE KEY UPDATE serial = serial + 1`,
    [studentId],
  )
}

/** The same, where the section itself is known. */
export async function noteSection(on: Queries, sectionId: string): Promise<void> {
  await run(
    on,
    'INSERT INTO floor_serial (section_id, serial) VALUES (?, 1) ON DUPLICATE KEY UPDATE serial = serial + 1',
    [sectionId],
  )
}

/** The same for every section: what stands in the shop concerns all who weld in it. */
export async function noteEverySection(on: Queries): Promise<void> {
  await run(
    on,
    `INSERT INTO floor_serial (section_id, serial) SELECT id, 1 FROM section
    ON DUPLICATE KEY UPDATE serial = serial + 1`,
  )
}

/** How often each section's floor has changed; 0 where it never did. */
export async function floorSerials(sectionIds: readonly string[]): Promise<Map<string, number>> {
  const found = await rows<{ section_id: string; serial: number }>(
    database(),
    `SELECT section_id, serial FROM floor_serial WHERE section_id IN (${sectionIds.map(() => '?').join(', ')})`,
    sectionIds,
  )
  const serials = new Map(sectionIds.map(id => [id, 0]))
  for (const row of found) serials.set(row.section_id, Number(row.serial))
  return serials
}
