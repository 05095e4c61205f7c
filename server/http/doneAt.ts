import { getHeader, type H3Event } from 'h3'
import { MOST_WAITED_MS, WAITED } from '../../contract/waited'

/** When what is asked for was done: now, less how long it has waited for an answer. */
export function doneAt(event: H3Event, now = new Date()): Date {
  const waited = Number(getHeader(event, WAITED) ?? 0)
  return waited > 0 && Number.isFinite(waited) ? new Date(now.getTime() - Math.min(waited, MOST_WAITED_MS)) : now
}
