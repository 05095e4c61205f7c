import type { H3Event } from 'h3'
import { isOfSection, sectionOf, type OfSection } from '../store/sectionOf'
import { whoever } from './access'
import { isUuid } from './isUuid'
import { refuse } from './refuse'

/** Something that is of a section, by its id. */
type Thing = readonly [what: OfSection, id: string]

/** Fields of a body that name what is of a section. */
const NAMED: readonly (readonly [field: string, what: OfSection])[] = [
  ['sectionId', 'section'],
  ['studentId', 'student'],
  ['couponId', 'coupon'],
]

/** What stands in an address, by the word that a route has for it. */
export const inAddress = (word: string, id: string): Thing[] => (isOfSection(word) && isUuid(id) ? [[word, id]] : [])

/** What a body names, in itself and in the document that it carries. */
export function inBody(body: unknown): Thing[] {
  const parts = [body, (body as { document?: unknown } | undefined)?.document] as (
    Record<string, unknown> | undefined
  )[]
  return parts.flatMap(part =>
    NAMED.flatMap(([field, what]): Thing[] => {
      const id = part?.[field]
      return typeof id === 'string' && isUuid(id) ? [[what, id]] : []
    }),
  )
}

/**
 * Refuses an instructor who is tied to other sections than those that these things are of. It holds for every route;
 * lists are cut to what is taught where they are made.
 * @throws 403
 */
export async function mustTeach(event: H3Event, things: readonly Thing[]): Promise<void> {
  const taught = things.length > 0 ? (await whoever(event))?.sectionIds : null
  if (!taught) return
  for (const [what, id] of things) {
    const section = await sectionOf(what, id)
    if (section !== null && !taught.includes(section))
      throw refuse(403, 'Not your section', 'This is of a section that you do not teach. A lead can add it for you.')
  }
}
