/**
 * What was done while no server answered says how long it has waited, in ms: it was done so long before it arrives,
 * regardless of the tablet's clock.
 */
export const WAITED = 'fusilis-waited-ms'

/** What has waited longer than this is taken as of then. */
export const MOST_WAITED_MS = 14 * 24 * 3_600_000
