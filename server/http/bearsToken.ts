import { createHash, timingSafeEqual } from 'node:crypto'

const digest = (text: string) => createHash('sha256').update(text).digest()

/**
 * Whether an Authorization header bears the token that was set; where none is set, none does. It takes the same time
 * however much of it is right.
 */
export function bearsToken(authorization: string | undefined, wanted: string | undefined): boolean {
  const given = /^Bearer (.+)$/.exec(authorization ?? '')?.[1]
  return Boolean(wanted && given) && timingSafeEqual(digest(wanted!), digest(given!))
}
