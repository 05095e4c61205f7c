import { setResponseHeader } from 'h3'
import { leadOrToken } from '../http/leadOrToken'
import { defineRoute } from '../http/defineRoute'
import { metrics } from '../http/metrics'

/** How the server does: requests, latency, event loop, memory, what waits to be computed. */
export default defineRoute({ who: leadOrToken }, async ({ event }) => {
  setResponseHeader(event, 'content-type', metrics.contentType as 'text/plain')
  return metrics.metrics()
})
