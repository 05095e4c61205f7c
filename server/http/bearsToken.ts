import { createHash, timingSafeEqual } from 'node:crypto'

const digest = (text: string) => createHash('sha256').update(text).digest()

/** Whether an Authorization header bears a token that was set; where none is set, none does. In the same time always. */
export function bearsToken(authorization: string | undefined, wanted: string | undefined): boolean {
  const given = /^Bearer (.+)$/.exec(authorization ?? '')?.[1]
  return Boolean(wanted && given) && timingSafeEqual(digest(wanted!), digest(given!))
}
