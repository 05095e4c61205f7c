import { appendFile } from 'node:fs/promises'
import type { Erased } from './erasePerson'

/**
 * Notes an erasure beside the school's data, by id and time alone: a backup of before it is restored without that
 * person, even where the database itself was lost.
 */
export async function noteErased(id: string, now: Date): Promise<void> {
  const file = process.env.FUSILIS_ERASED_LIST
  if (!file) return
  const line: Erased = { id, at: now.toISOString().slice(0, 23).replace('T', ' '), by: '', why: '' }
  await appendFile(file, `${JSON.stringify(line)}\n`, { mode: 0o600 })
}
