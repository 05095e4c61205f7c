import type { H3Event } from 'h3'
import { isOfSection, sectionsOf } from '../store/sectionOf'
import { whoever } from './access'
import { isUuid } from './isUuid'
import { refuse } from './refuse'

/** What stands in an address, by the word that a route has for it. */
export const inAddress = (word: string, id: string): string[] => (isOfSection(word) && isUuid(id) ? [id] : [])

/** Every id that a body holds, wherever in it and under any name: a list is no way round. */
export function inBody(body: unknown): string[] {
  const ids = new Set<string>()
  const open: unknown[] = [body]
  while (open.length > 0) {
    const value = open.pop()
    if (typeof value === 'string' && isUuid(value)) ids.add(value)
    else if (typeof value === 'object' && value !== null) open.push(...Object.values(value))
  }
  return [...ids]
}

/**
 * Refuses an instructor who is tied to other sections than those that these things are of. It holds for every route;
 * lists are cut to what is taught where they are made.
 * @throws 403
 */
export async function mustTeach(event: H3Event, ids: readonly string[]): Promise<void> {
  const taught = ids.length > 0 ? (await whoever(event))?.sectionIds : null
  if (!taught) return
  const sections = await sectionsOf(ids)
  if (sections.some(section => !taught.includes(section)))
    throw refuse(403, 'Not your section', 'This is of a section that you do not teach. A lead can add it for you.')
}
