import ICAL from 'ical.js'
import { daysAfter, type ClassDay, type DaysOff } from '~~/core/calendar'

/** What of a calendar file is taken in, and what is not. */
export interface CalendarFile {
  /** Whole days, earliest first, each span once. */
  readonly daysOff: readonly DaysOff[]
  /** Entries at an hour of a day: they are no days off. */
  readonly atHours: number
}

/** An entry that comes again is followed for this number of times: one of each day since 1970 comes to as many. */
const MOST_TIMES = 25_000
const MOST_NAME = 80

const dayOf = ({ year, month, day }: ICAL.Time): ClassDay =>
  [String(year).padStart(4, '0'), String(month).padStart(2, '0'), String(day).padStart(2, '0')].join('-')

/**
 * The whole days of a calendar file (iCalendar, RFC 5545) that meet a stretch of time; the end of such an entry is the
 * day after its last (3.6.1). What was cancelled is passed over; what comes again is
 * followed, but for the times that were moved or called off by an entry of their own (3.8.4.4).
 * @param within from the first to the last day that is of interest
 * @throws Error in words where it is no calendar, or holds none of those days
 */
export function readCalendar(text: string, within: Pick<DaysOff, 'from' | 'to'>): CalendarFile {
  const entries = entriesOf(text)
  const events = entries.filter(event => event.component.getFirstPropertyValue('status') !== 'CANCELLED')
  const instead = new Set(entries.filter(isInstead).map(event => `${event.uid} ${dayOf(event.recurrenceId)}`))
  const whole = events.filter(event => event.startDate.isDate)
  const spans = new Map<string, DaysOff>()
  for (const event of whole)
    for (const { from, to } of timesOf(event, within.to)) {
      if (!isInstead(event) && instead.has(`${event.uid} ${from}`)) continue
      const name = (event.summary ?? '').trim().slice(0, MOST_NAME) || 'No class'
      if (to >= within.from && from <= within.to) spans.set(`${from} ${to} ${name}`, { from, to, name })
    }
  const daysOff = [...spans.values()].sort((a, b) => a.from.localeCompare(b.from) || a.to.localeCompare(b.to))
  const atHours = events.length - whole.length
  if (daysOff.length === 0)
    throw new Error(
      atHours > 0
        ? `There is no whole day in this calendar, only entries at hours of a day (${atHours}).`
        : 'There is no day in this calendar from now on.',
    )
  return { daysOff, atHours }
}

/** An entry that stands in place of one time of another that comes again. */
const isInstead = (event: ICAL.Event): boolean => event.isRecurrenceException()

function entriesOf(text: string): ICAL.Event[] {
  const calendars = calendarsOf(text).filter(one => one.name === 'vcalendar')
  if (calendars.length === 0)
    throw new Error('This is no calendar file: one ends in .ics, and begins with BEGIN:VCALENDAR.')
  return calendars.flatMap(one => one.getAllSubcomponents('vevent').map(entry => new ICAL.Event(entry)))
}

/** A file may hold several calendars one after the other; none where it cannot be read. */
function calendarsOf(text: string): ICAL.Component[] {
  try {
    const parsed = ICAL.parse(text) as unknown[]
    const all = (typeof parsed[0] === 'string' ? [parsed] : parsed) as [string, unknown[], unknown[]][]
    return all.map(one => new ICAL.Component(one))
  } catch {
    return []
  }
}

/** When an entry is, each time it comes, up to a day. */
function timesOf(event: ICAL.Event, last: ClassDay): Pick<DaysOff, 'from' | 'to'>[] {
  const days = Math.max(1, Math.round((event.duration.toSeconds() || 0) / 86_400))
  const spanFrom = (from: ClassDay) => ({ from, to: daysAfter(from, days - 1) })
  if (!event.isRecurring()) return [spanFrom(dayOf(event.startDate))]
  const times: ClassDay[] = []
  const iterator = event.iterator()
  for (let next = iterator.next(); next && times.length < MOST_TIMES; next = iterator.next()) {
    const from = dayOf(next)
    if (from > last) break
    times.push(from)
  }
  return times.map(spanFrom)
}
