import { TZDate } from '@date-fns/tz'
import {
  addDays,
  differenceInCalendarDays,
  format,
  formatISO,
  getDay,
  parseISO,
  setHours,
  startOfDay,
  startOfISOWeek,
} from 'date-fns'

/** A day on the school's calendar, ISO 8601: `2026-10-05`. It has no hour and no zone of its own. */
export type ClassDay = string

const isoDay = (date: Date): ClassDay => formatISO(date, { representation: 'date' })

/** The clock of a school: where it stands, and the hour on its wall at which a class day begins. */
export interface SchoolClock {
  /** IANA time zone; empty for the machine's own. */
  readonly zone: string
  /** 0 for midnight; later where classes go on past it. */
  readonly turnsAt: number
}

/** The clock of a school that has not said: this machine's zone, and days that begin at midnight. */
export const MACHINE_CLOCK: SchoolClock = { zone: '', turnsAt: 0 }

/** The latest hour at which a class day may begin: a morning class belongs to its own morning. */
export const LATEST_TURN = 9

/** The hours at which a class day may begin. */
export const TURNS: readonly number[] = Array.from({ length: LATEST_TURN + 1 }, (_, hour) => hour)

/** A moment as it is read off a wall in a zone; an empty zone is the machine's own. */
const inZone = (moment: Date, zone: string): Date => (zone === '' ? moment : new TZDate(moment, zone))

/**
 * The class day at a moment where the school stands: an evening class belongs to the day on the shop's wall, not
 * to the day in UTC or where the server stands; and to the evening it began on, where the school's day turns later.
 * @example classDayAt(new Date('2026-10-06T01:30:00Z'), { zone: 'America/Chicago', turnsAt: 0 }) // '2026-10-05'
 */
export function classDayAt(moment: Date, { zone, turnsAt }: SchoolClock): ClassDay {
  const onTheWall = inZone(moment, zone)
  return isoDay(onTheWall.getHours() < turnsAt ? addDays(onTheWall, -1) : onTheWall)
}

/** The time on the shop's wall. @example wallClockAt(new Date('2026-10-05T23:05:00Z'), 'America/Chicago') // '18:05' */
export const wallClockAt = (moment: Date, zone: string): string => format(inZone(moment, zone), 'HH:mm')

/** When the class day of a moment began, where the school stands. */
export function dayBegan(moment: Date, { zone, turnsAt }: SchoolClock): Date {
  const onTheWall = inZone(moment, zone)
  return setHours(startOfDay(onTheWall.getHours() < turnsAt ? addDays(onTheWall, -1) : onTheWall), turnsAt)
}

/** A number of days later, or before. @example daysAfter('2026-12-31', 1) // '2027-01-01' */
export const daysAfter = (day: ClassDay, days: number): ClassDay => isoDay(addDays(parseISO(day), days))

/** Days from one class day to another. @example daysBetween('2026-10-05', '2026-10-12') // 7 */
export const daysBetween = (from: ClassDay, to: ClassDay): number =>
  differenceInCalendarDays(parseISO(to), parseISO(from))

const MS_PER_DAY = 86_400_000

/**
 * A class day as days since 1970 began: a date without a time is read as UTC (ECMA-262, 21.4.3.2).
 * @example dayNumber('1970-01-02') // 1
 */
export const dayNumber = (day: ClassDay): number => Date.parse(day) / MS_PER_DAY

/** The day of the week, 0 for Sunday. @example weekdayOf('2026-10-05') // 1 */
export const weekdayOf = (day: ClassDay): number => getDay(parseISO(day))

/** The day of the week by its short name. @example weekdayName('2026-10-05') // 'Mon' */
export const weekdayName = (day: ClassDay): string => format(parseISO(day), 'EEE')

/** The Monday of its week. @example mondayOf('2026-10-08') // '2026-10-05' */
export const mondayOf = (day: ClassDay): ClassDay => isoDay(startOfISOWeek(parseISO(day)))

/** A class day as people write it. @example spokenDay('2026-10-05') // 'Mon 5 Oct' */
export const spokenDay = (day: ClassDay): string => format(parseISO(day), 'EEE d MMM')

/** A day that may be of another year. @example longDay('2026-10-05') // 'Mon 5 Oct 2026' */
export const longDay = (day: ClassDay): string => format(parseISO(day), 'EEE d MMM yyyy')

/** A day on a record. @example recordDay('2026-10-05') // '5 October 2026' */
export const recordDay = (day: ClassDay): string => format(parseISO(day), 'd MMMM yyyy')

/** A month as people write it. @example spokenMonth('2026-10') // 'Oct 2026' */
export const spokenMonth = (month: string): string => format(parseISO(`${month}-01`), 'MMM yyyy')

/** The zones that a school may stand in, as the runtime knows them. */
export const timeZones = (): readonly string[] => Intl.supportedValuesOf('timeZone')

/** Whether a school may stand there. @example isTimeZone('Europe/Lisbon') // true */
export function isTimeZone(zone: string): boolean {
  if (zone === '') return false
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone })
    return true
  } catch {
    return false
  }
}
