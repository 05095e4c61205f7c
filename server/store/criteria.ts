import { setForVisual, type CriteriaSet } from '../../core/criteria'
import { SHIPPED_BOOKS } from '../../core/qualification'
import type { SavedCriteria, SchoolCriteria } from '../../contract/criteria'
import { database, type Queries } from './database'
import { CRITERIA, keepVersion, newestOfEach, type KeptVersion, type VersionSaver } from './versioned'

const toCriteria = ({ version, content, saved }: KeptVersion<SchoolCriteria>): SavedCriteria => ({
  version,
  set: content,
  savedAt: saved.at,
  savedBy: saved.by,
  why: saved.why,
})

/** The newest version of each of the school's own sets, by name. */
export async function schoolCriteria(on: Queries = database()): Promise<SavedCriteria[]> {
  return (await newestOfEach<SchoolCriteria>(CRITERIA, on))
    .map(toCriteria)
    .sort((a, b) => a.set.name.localeCompare(b.set.name, 'en'))
}

/** The visual criteria that tests are held to, by each code book: the school's own in place of a shipped one. */
export async function testCriteria(on: Queries = database()): Promise<CriteriaSet[]> {
  const own = (await schoolCriteria(on)).map(one => one.set)
  const ids = new Set(SHIPPED_BOOKS.map(book => book.criteriaId))
  return [...ids].flatMap(id => {
    const set = setForVisual(id, own)
    // Counted under the book's own name for them, by any author.
    return set ? [{ ...set, id }] : []
  })
}

/** Keeps a set as the version after the one it was edited from; null when a newer one is saved already. */
export async function keepCriteria(
  id: string,
  baseVersion: number,
  set: SchoolCriteria,
  saver: VersionSaver,
): Promise<SavedCriteria | null> {
  const kept = await keepVersion<SchoolCriteria>(CRITERIA, { key: [id], baseVersion, content: { ...set, id } }, saver)
  return kept ? toCriteria(kept) : null
}
