import { run, type Queries } from './database'

/**
 * Lets one transaction at a time go on from here with what bears that name. A row that is only locked is locked on one
 * node of a cluster: this one is written, so of two that decide by way of two nodes one is undone and decides again.
 */
export async function takeGuard(on: Queries, name: 'leads' | `lot ${string}`): Promise<void> {
  await run(on, 'INSERT INTO guard (name, turn) VALUES (?, 1) ON DUPLICATE KEY UPDATE turn = turn + 1', [name])
}
