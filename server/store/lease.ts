import { rows, run, type Queries } from './database'

/** What one server does at a time, however many there are. */
export type Duty = 'migrations' | 'ovens' | 'unsaved pictures'

/** Made by the first server that needs it: an update takes its turn by it. */
export const prepareLeases = (on: Queries) =>
  on.query(
    `CREATE TABLE IF NOT EXISTS lease (
      duty VARCHAR(40) NOT NULL PRIMARY KEY,
      holder CHAR(36) NOT NULL,
      until DATETIME(3) NOT NULL)`,
  )

/**
 * Takes a duty, or keeps it for longer. It is a row that is written, not a lock of the database server's: on a cluster
 * a lock is known to one node alone. The clock is the database's.
 * @param holder who takes it: an id of this process
 * @returns false while another has it
 */
export async function takeLease(on: Queries, duty: Duty, holder: string, seconds: number): Promise<boolean> {
  const [row] = await rows(on, 'SELECT 1 FROM lease WHERE duty = ?', [duty])
  if (!row) await run(on, `INSERT IGNORE INTO lease (duty, holder, until) VALUES (?, '', UTC_TIMESTAMP(3))`, [duty])
  const taken = await run(
    on,
    `UPDATE lease SET holder = ?, until = UTC_TIMESTAMP(3) + INTERVAL ? SECOND
    WHERE duty = ? AND (holder IN (?, '') OR until < UTC_TIMESTAMP(3))`,
    [holder, seconds, duty, holder],
  )
  return taken === 1
}

/** Gives a duty back before its time. */
export async function giveLeaseBack(on: Queries, duty: Duty, holder: string): Promise<void> {
  await run(on, `UPDATE lease SET holder = '' WHERE duty = ? AND holder = ?`, [duty, holder])
}
