import type { SavedCriteria, SchoolCriteria } from '../../contract/criteria'
import { database, fromJson, isDuplicate, rows, run, toDateTime, toIso } from './database'

interface CriteriaRow {
  id: string
  version: number
  criteria: unknown
  saved_at: string
  saved_by: string
  why: string
}

/** The newest version of each of the school's own sets, by name. */
export async function schoolCriteria(): Promise<SavedCriteria[]> {
  const found = await rows<CriteriaRow>(
    database(),
    `
    SELECT id, version, criteria, saved_at, saved_by, why FROM criteria_set
    WHERE (id, version) IN (SELECT id, MAX(version) FROM criteria_set GROUP BY id)`,
  )
  return found
    .map(row => ({
      version: row.version,
      set: fromJson<SchoolCriteria>(row.criteria),
      savedAt: toIso(row.saved_at),
      savedBy: row.saved_by,
      why: row.why,
    }))
    .sort((a, b) => a.set.name.localeCompare(b.set.name, 'en'))
}

/** Keeps a version of a set. False when somebody has kept this version already, or the one before it is not there. */
export async function addCriteria(
  id: string,
  version: number,
  set: SchoolCriteria,
  saved: { by: string; why: string; now: Date },
): Promise<boolean> {
  const [before] = await rows<{ newest: number | null }>(
    database(),
    'SELECT MAX(version) AS newest FROM criteria_set WHERE id = ?',
    [id],
  )
  if ((before?.newest ?? 0) !== version - 1) return false
  try {
    await run(
      database(),
      'INSERT INTO criteria_set (id, version, criteria, saved_at, saved_by, why) VALUES (?, ?, ?, ?, ?, ?)',
      [id, version, JSON.stringify(set), toDateTime(saved.now), saved.by, saved.why],
    )
    return true
  } catch (error) {
    if (isDuplicate(error)) return false
    throw error
  }
}
