import { defineEventHandler, getHeader } from 'h3'
import { refuse } from '../http/refuse'

const READS = new Set(['GET', 'HEAD', 'OPTIONS'])

/** A request that changes something must come from a page of this server. */
export default defineEventHandler(event => {
  if (READS.has(event.method)) return
  const origin = getHeader(event, 'origin')
  if (!origin || !sameHost(origin, getHeader(event, 'host')))
    throw refuse(403, 'Refused', 'This request did not come from a Fusilis page.')
})

function sameHost(origin: string, host: string | undefined): boolean {
  try {
    return new URL(origin).host === host
  } catch {
    return false
  }
}
