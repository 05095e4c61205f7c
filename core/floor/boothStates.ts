/** How a booth stands at this moment. */
export type BoothState = 'welding' | 'waits' | 'read now' | 'away' | 'out of service' | 'empty'

/** What is known of who stands in a booth. */
export interface InBooth {
  /** Noted or seen today, and not gone home. */
  readonly here: boolean
  readonly waits: boolean
  readonly readNow: boolean
}

/**
 * How a booth stands. Out of service counts before all else; who is read before who waits, and both before being away:
 * a student who waits is here.
 * @param who null where no student of this section has the booth
 * @example boothState(null, false) // 'empty'
 */
export function boothState(who: InBooth | null, outOfService: boolean): BoothState {
  if (outOfService) return 'out of service'
  if (!who) return 'empty'
  if (who.readNow) return 'read now'
  if (who.waits) return 'waits'
  return who.here ? 'welding' : 'away'
}
