const HOUR_MS = 3_600_000

/**
 * Figures of the clock. Source: AWS D1.1 low-hydrogen rules, from memory, check your copy: in the oven again before the
 * limit and for four hours, rods are as fresh; past it they are re-dried, once.
 */
export const RESTED_HOURS = 4
const MOST_REDRIED = 1

/** What happened to a handful of rods, at a moment (ISO 8601). A handful begins by being taken out. */
export interface HandfulEvent {
  readonly kind: 'out' | 'in' | 're-dried'
  readonly at: string
}

/**
 * How a handful stands: in a booth with time left, or past it; in the oven and still resting, or as fresh; to be
 * re-dried; or for the bin.
 */
export type HandfulState = 'out' | 'past' | 'resting' | 'fresh' | 'to re-dry' | 'bin'

export interface Exposure {
  readonly state: HandfulState
  /** Time out of the oven that counts, h. */
  readonly usedHours: number
  /** Time left, h; 0 where it is past. */
  readonly leftHours: number
  /** When the time out runs out, or the rest in the oven is over; null where nothing is waited for. ISO 8601. */
  readonly until: string | null
}

/** Whether rods may not be run as they are, wherever they lie: what a booth is told, and a test's checklist. */
export const isPast = ({ state }: Pick<Exposure, 'state'>): boolean =>
  state === 'past' || state === 'to re-dry' || state === 'bin'

interface Count {
  readonly usedMs: number
  readonly since: number
  readonly place: 'out' | 'in'
  readonly past: boolean
  readonly redried: number
}

/** Counts on from one event to the next; time is that between moments, even where the wall clock was changed. */
function after(count: Count | null, { kind, at }: HandfulEvent, limitMs: number): Count {
  const now = Date.parse(at)
  if (!count) return { usedMs: 0, since: now, place: 'out', past: false, redried: 0 }
  const outMs = count.usedMs + (count.place === 'out' ? now - count.since : 0)
  const past = count.past || outMs > limitMs
  if (kind === 'in') return count.place === 'in' ? count : { ...count, usedMs: outMs, since: now, place: 'in', past }
  if (kind === 're-dried') return { usedMs: 0, since: now, place: 'in', past: false, redried: count.redried + 1 }
  if (count.place === 'out') return count
  const rested = !count.past && now - count.since >= RESTED_HOURS * HOUR_MS
  return { ...count, usedMs: rested ? 0 : count.usedMs, since: now, place: 'out' }
}

/**
 * How a handful of low-hydrogen rods stands at a moment.
 * @param events in the order in which they happened
 * @param limitHours how long such rods may be out
 * @throws RangeError without an event: they were not taken out
 * @example exposureOf([{ kind: 'out', at: '2026-09-14T18:00Z' }], 4, new Date('2026-09-14T19:30Z')).leftHours // 2.5
 */
export function exposureOf(events: readonly HandfulEvent[], limitHours: number, now: Date): Exposure {
  const limitMs = limitHours * HOUR_MS
  const count = events.reduce<Count | null>((so, event) => after(so, event, limitMs), null)
  if (!count) throw new RangeError('A handful begins by being taken out of the oven')
  const outMs = count.place === 'out' ? Math.max(0, now.getTime() - count.since) : 0
  const usedMs = count.usedMs + outMs
  const past = count.past || usedMs > limitMs
  const say = (state: HandfulState, untilMs: number | null): Exposure => ({
    state,
    usedHours: usedMs / HOUR_MS,
    leftHours: past ? 0 : (limitMs - usedMs) / HOUR_MS,
    until: untilMs === null ? null : new Date(untilMs).toISOString(),
  })
  if (past && count.redried >= MOST_REDRIED) return say('bin', null)
  if (count.place === 'out') return past ? say('past', null) : say('out', count.since + limitMs - count.usedMs)
  if (past) return say('to re-dry', null)
  const rested = count.since + RESTED_HOURS * HOUR_MS
  return count.usedMs === 0 || now.getTime() >= rested ? say('fresh', null) : say('resting', rested)
}

/** Coldest that a holding oven may be, °C: 250 °F. Source: AWS D1.1, from memory, check your copy. */
export const OVEN_LEAST_C = 120
