import type { H3Event } from 'h3'
import proxyaddr from 'proxy-addr'

/**
 * Proxies whose word on a visitor's address is taken, as `FUSILIS_TRUSTED_PROXIES` lists them: addresses, ranges
 * (`10.0.0.0/8`) or `loopback`, parted by commas. None when it is not set: then the address is the one that connects.
 */
const trusted = proxyaddr.compile(
  (process.env.FUSILIS_TRUSTED_PROXIES ?? '')
    .split(',')
    .map(part => part.trim())
    .filter(part => part !== ''),
)

/** The address a request comes from. */
export const addressOf = (event: H3Event): string => proxyaddr(event.node.req, trusted) || 'unknown'
