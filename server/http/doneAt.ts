import { getHeader, type H3Event } from 'h3'
import { MOST_WAITED_MS, WAITED } from '../../contract/waited'

/** When what is asked for was done: now, less how long it has waited for an answer. */
export function doneAt(event: H3Event, now = new Date()): Date {
  const waited = Number(getHeader(event, WAITED) ?? 0)
  return waited > 0 && Number.isFinite(waited) ? new Date(now.getTime() - Math.min(waited, MOST_WAITED_MS)) : now
}

/** A student is believed so far back, ms: longer than steel walls hold up a phone between two readings. */
const STUDENT_BELIEVED_MS = 30 * 60_000
/** What the server itself knows of a browser is so old at most, ms. */
const KNOWN_WITHIN_MS = 60_000

/**
 * When a student did what is asked for: as `doneAt`, but no earlier than the server last heard of this browser before
 * it fell silent. Who was heard of all along did it now.
 * @param silentFrom of the sign-in or tablet that asks; null where it was never silent
 */
export function doneByStudent(event: H3Event, silentFrom: Date | null, now = new Date()): Date {
  const heardOf = Math.max(silentFrom?.getTime() ?? 0, now.getTime() - STUDENT_BELIEVED_MS)
  const earliest = silentFrom === null ? now.getTime() - KNOWN_WITHIN_MS : heardOf
  return new Date(Math.max(doneAt(event, now).getTime(), earliest))
}
