import type { ClassDay } from '../calendar'
import type { PositionId } from '../trade'
import { TRAVEL_MM_PER_MINUTE } from './arcMinutes'

/** A class day on which a student was there, with its minutes in the booth. */
export interface DayThere {
  readonly day: ClassDay
  readonly minutes: number
}

/** Length of weld of a day in a position, mm. */
export interface DayRun {
  readonly day: ClassDay
  readonly position: PositionId
  readonly weldedMm: number
}

/** Time in a position, minutes. */
export interface PositionTime {
  readonly position: PositionId
  readonly boothMinutes: number
  readonly arcMinutes: number
}

/**
 * Time by position. A day's time in the booth is shared out over what was welded that day, by length; a day on which
 * nothing was read counts for no position. Minutes at the arc are those that this length takes by hand. The most time
 * first. Common practice.
 * @example timeByPosition([{ day, minutes: 180 }], [{ day, position: '2G', weldedMm: 914.4 }])[0]!.boothMinutes // 180
 */
export function timeByPosition(days: readonly DayThere[], runs: readonly DayRun[]): PositionTime[] {
  const found = new Map<PositionId, { boothMinutes: number; arcMinutes: number }>()
  for (const run of runs) {
    const ofDay = runs.filter(one => one.day === run.day).reduce((sum, one) => sum + one.weldedMm, 0)
    const there = days.find(one => one.day === run.day)?.minutes ?? 0
    const before = found.get(run.position) ?? { boothMinutes: 0, arcMinutes: 0 }
    found.set(run.position, {
      boothMinutes: before.boothMinutes + (ofDay === 0 ? 0 : (there * run.weldedMm) / ofDay),
      arcMinutes: before.arcMinutes + run.weldedMm / TRAVEL_MM_PER_MINUTE,
    })
  }
  return [...found]
    .map(([position, time]) => ({ position, ...time }))
    .sort((a, b) => b.boothMinutes - a.boothMinutes || a.position.localeCompare(b.position))
}

/** Hours that a programme asks for: of one position, or of all work. */
export interface HoursWanted {
  readonly of: PositionId | 'all work'
  readonly hours: number
}

/** How far a student is with them. Hours. */
export interface HoursToward extends HoursWanted {
  readonly done: number
  readonly left: number
}

const MINUTES = 60

/**
 * What of a programme's hours is done, and what is left; never less than nothing.
 * @param allMinutes in the booth on all days, in all positions
 * @example hoursToward([{ of: 'all work', hours: 40 }], 600, [])[0]!.left // 30
 */
export const hoursToward = (
  wanted: readonly HoursWanted[],
  allMinutes: number,
  times: readonly PositionTime[],
): HoursToward[] =>
  wanted.map(({ of, hours }) => {
    const own = of === 'all work' ? allMinutes : (times.find(time => time.position === of)?.boothMinutes ?? 0)
    const done = own / MINUTES
    return { of, hours, done, left: Math.max(0, hours - done) }
  })
