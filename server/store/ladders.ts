import type { Ladder } from '../../core/ladder'
import { FIRST_LADDER, type LadderVersion } from '../../contract/progress'
import { database, fromJson, isDuplicate, rows, run, toDateTime, toIso } from './database'

/** The ladder in force. */
export async function currentLadder(): Promise<LadderVersion> {
  const [row] = await rows<{ version: number; ladder: unknown; saved_at: string; saved_by: string; why: string }>(
    database(),
    'SELECT version, ladder, saved_at, saved_by, why FROM ladder ORDER BY version DESC LIMIT 1',
  )
  return row
    ? {
        version: row.version,
        ladder: fromJson<Ladder>(row.ladder),
        saved: { at: toIso(row.saved_at), by: row.saved_by, why: row.why },
      }
    : FIRST_LADDER
}

/** Keeps a version of the ladder. False when somebody has kept this version already. */
export async function addLadder(
  version: number,
  ladder: Ladder,
  saved: { by: string; why: string; now: Date },
): Promise<boolean> {
  try {
    await run(database(), 'INSERT INTO ladder (version, ladder, saved_at, saved_by, why) VALUES (?, ?, ?, ?, ?)', [
      version,
      JSON.stringify(ladder),
      toDateTime(saved.now),
      saved.by,
      saved.why,
    ])
    return true
  } catch (error) {
    if (isDuplicate(error)) return false
    throw error
  }
}
