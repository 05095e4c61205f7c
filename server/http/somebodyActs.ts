import { getHeader, type H3Event } from 'h3'
import { UNTOUCHED } from '../../contract/signIns'

/** A screen that was touched within these seconds has a person before it. */
const LATELY_SECONDS = 60

/**
 * Whether a person is there, and the screen does not merely follow what others do: an open Floor asks by itself, and
 * its stream of events comes back by itself.
 */
export function somebodyActs(event: H3Event): boolean {
  if (getHeader(event, 'accept')?.includes('text/event-stream')) return false
  const untouched = Number(getHeader(event, UNTOUCHED) ?? 0)
  return Number.isFinite(untouched) && untouched < LATELY_SECONDS
}
