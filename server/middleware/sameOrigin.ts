import { defineEventHandler, getHeader } from 'h3'
import { refuse } from '../http/refuse'

const READS = new Set(['GET', 'HEAD', 'OPTIONS'])

/** How the school reaches its server. */
const PROTOCOL = process.env.FUSILIS_TLS === '1' ? 'https' : 'http'

/** A request that changes something must come from a page of this server. */
export default defineEventHandler(event => {
  if (READS.has(event.method)) return
  const origin = getHeader(event, 'origin')
  if (origin !== `${PROTOCOL}://${getHeader(event, 'host')}`)
    throw refuse(403, 'Refused', 'This request did not come from a Fusilis page.')
})
