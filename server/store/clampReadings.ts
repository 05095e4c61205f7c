import type { ClampReadingSave, MachineCheck } from '../../contract/shop'
import { database, inTransaction, isDuplicate, rows, run, toDateTime, toIso } from './database'
import { noteEverySection } from './floorSerial'

/** Keeps what a clamp meter read; the same again is one reading. */
export async function addClampReading(
  id: string,
  { booth, panelA, clampA }: ClampReadingSave,
  by: { readonly name: string; readonly now: Date },
): Promise<void> {
  await inTransaction(database(), async on => {
    try {
      await run(
        on,
        'INSERT INTO clamp_reading (id, booth, panel_a, clamp_a, read_by, read_at) VALUES (?, ?, ?, ?, ?, ?)',
        [id, booth, panelA, clampA, by.name, toDateTime(by.now)],
      )
    } catch (error) {
      if (isDuplicate(error)) return
      throw error
    }
    await noteEverySection(on)
  })
}

/** The newest reading of each machine that has one, by booth. */
export async function machineChecks(): Promise<MachineCheck[]> {
  const found = await rows<{ booth: number; panel_a: number; clamp_a: number; read_by: string; read_at: string }>(
    database(),
    `SELECT booth, panel_a, clamp_a, read_by, read_at FROM clamp_reading AS own
    WHERE id = (SELECT id FROM clamp_reading WHERE booth = own.booth ORDER BY read_at DESC, id DESC LIMIT 1)
    ORDER BY booth`,
  )
  return found.map(row => ({
    booth: row.booth,
    panelA: row.panel_a,
    clampA: row.clamp_a,
    by: row.read_by,
    at: toIso(row.read_at),
  }))
}
