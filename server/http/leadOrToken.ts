import { getHeader, type H3Event } from 'h3'
import { lead } from './access'
import { bearsToken } from './bearsToken'

/** A lead, or a machine that knows `FUSILIS_METRICS_TOKEN`. */
export async function leadOrToken(event: H3Event): Promise<null> {
  if (!bearsToken(getHeader(event, 'authorization'), process.env.FUSILIS_METRICS_TOKEN)) await lead(event)
  return null
}
