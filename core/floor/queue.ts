import type { Ways } from '../house'
import { quantile } from '../statistics'

/** A student whose coupon is ready to be read. */
export interface InQueue {
  /** Since when, ISO 8601. */
  readonly since: string
  /** A coupon of this student has been read today. */
  readonly readToday: boolean
}

/**
 * Whom to read next, by the house's way: a student not read today goes first, and of those the one who has waited
 * longest; or the one who has waited longest, read or not. An instructor may take anyone.
 * @example queueOrder([readAtSix, notReadYet], 'unread first')[0] // notReadYet
 */
export function queueOrder<T extends InQueue>(waiting: readonly T[], way: Ways['queueOrder']): T[] {
  const unreadFirst = way === 'unread first'
  return [...waiting].sort(
    (a, b) =>
      (unreadFirst ? Number(a.readToday) - Number(b.readToday) : 0) || Date.parse(a.since) - Date.parse(b.since),
  )
}

/** A coupon that was read: by whom, and when it was saved, ISO 8601. */
export interface ReadAt {
  readonly by: string
  readonly at: string
}

/** Minutes that a reading takes before anything is known of the day. Common practice: twenty in an hour. */
export const USUAL_MINUTES = 3
/** Longer than this between two coupons is a demonstration or a break, no reading. */
const MOST_MINUTES = 15
/** Fewer readings than this say nothing yet. */
const ENOUGH = 3
const MINUTE_MS = 60_000

/**
 * Minutes that a reading takes today: the middle of the times between one reader's coupons, breaks left out.
 * @example minutesAReading([]) // 3
 */
export function minutesAReading(readings: readonly ReadAt[]): number {
  const readers = new Set(readings.map(reading => reading.by))
  const gaps = [...readers].flatMap(by => {
    const moments = readings
      .filter(reading => reading.by === by)
      .map(reading => Date.parse(reading.at))
      .sort((a, b) => a - b)
    return moments.slice(1).map((moment, n) => (moment - moments[n]!) / MINUTE_MS)
  })
  const taken = gaps.filter(minutes => minutes > 0 && minutes <= MOST_MINUTES)
  return taken.length < ENOUGH ? USUAL_MINUTES : quantile(taken, 0.5)
}

/**
 * Minutes until a place in the queue is read, as it goes today.
 * @param place 1 for the student who is next; @param readers instructors who read at the same time, 1 or more
 * @example minutesUntil(4, 3, 2) // 6: two each go before
 */
export const minutesUntil = (place: number, minutes: number, readers: number): number =>
  Math.ceil(place / Math.max(1, readers)) * minutes

/** Readings in an hour, as fast as it goes today. */
export const anHour = (minutes: number, readers: number): number => (60 / minutes) * Math.max(1, readers)
