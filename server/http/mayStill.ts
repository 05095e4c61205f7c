import type { H3Event } from 'h3'
import type { Admits } from './defineRoute'
import { inAddress, mustTeach } from './mustTeach'

/**
 * Whether a request that is still open would be let in again: its session may have been ended since, its account
 * switched off, or tied to other sections.
 * @param word what the id in the address is of
 */
export async function mayStill(event: H3Event, who: Admits<unknown>, word: string, id: string): Promise<boolean> {
  event.context.me = undefined
  event.context.tablet = undefined
  try {
    await who(event, id)
    await mustTeach(event, inAddress(word, id))
    return true
  } catch {
    return false
  }
}
