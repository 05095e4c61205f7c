import { minuteInDay, TURNS } from '../calendar'

/** When a section meets on a day, on the shop's wall: `18:00` to `21:00`. */
export interface DayMeeting {
  readonly from: string
  readonly to: string
}

/** What an instructor noted of a student's day. The newest note stands; those before it keep who noted what. */
export interface AttendanceNote {
  /** On the shop's wall; null where it was not said when. */
  readonly came: string | null
  readonly left: string | null
  readonly absent: boolean
  readonly why: string
}

/** A student's day: whether the student was there, and for how long. */
export interface Attendance {
  readonly state: 'here' | 'absent' | 'not seen'
  readonly came: string | null
  readonly left: string | null
  readonly late: boolean
  readonly leftEarly: boolean
  /** In the booth, so far as the day has gone. */
  readonly minutes: number
}

export interface StudentDay {
  /** Null on a day on which the section does not meet. */
  readonly meeting: DayMeeting | null
  readonly note: AttendanceNote | null
  /** When something of the student's happened: a coupon was ready, or was read. Wall clock, in any order. */
  readonly seen: readonly string[]
  /** Coupons of that day were read, if only on a later one. */
  readonly ran: boolean
  /** The time now; null for a day that is over. */
  readonly now: string | null
  /** The hour on the wall at which a class day begins; midnight where it is left out. */
  readonly turnsAt?: number
}

/**
 * A student who comes within these minutes is not late, and one who leaves within them has not left early. Common
 * practice.
 */
export const GRACE_MINUTES = 10

/**
 * A student's day from what was noted, and else from what was seen. A coupon that was read says that a student was
 * there, and not since when: then it is since the class began.
 * @example attendanceOf({ meeting: { from: '18:00', to: '21:00' }, note: null, seen: ['18:40'], ran: true, now: null })
 *   .minutes // 180
 */
export function attendanceOf({ meeting, note, seen, ran, now, turnsAt = 0 }: StudentDay): Attendance {
  const off = (from: string, to: string) => minuteInDay(to, turnsAt) - minuteInDay(from, turnsAt)
  const inOrder = (times: readonly string[]) => [...times].sort((a, b) => off(b, a))
  const earliest = (...ofThem: readonly string[]) => inOrder(ofThem)[0]!
  const latest = (...ofThem: readonly string[]) => inOrder(ofThem).at(-1)!
  const times = [...seen, ...(meeting && (ran || seen.length > 0) ? [meeting.from] : [])]
  const began = times.length === 0 ? null : earliest(...times)
  const came = note?.absent ? null : (note?.came ?? began)
  const left = note?.absent ? null : (note?.left ?? null)
  if (came === null)
    return {
      state: note?.absent ? 'absent' : ran ? 'here' : 'not seen',
      came,
      left,
      late: false,
      leftEarly: false,
      minutes: 0,
    }
  const over = meeting ? earliest(meeting.to, now ?? meeting.to) : came
  const until = left ?? latest(came, over, ...seen)
  return {
    state: 'here',
    came,
    left,
    late: meeting !== null && off(meeting.from, came) > GRACE_MINUTES,
    leftEarly: meeting !== null && left !== null && off(left, meeting.to) > GRACE_MINUTES,
    minutes: Math.max(0, off(came, until)),
  }
}

/**
 * Where a note says what cannot be; null where it can.
 * @param turnsAt the hour on the wall at which a class day begins; left out, what could be at any hour may be
 */
export function misNoted(
  { came, left, absent }: AttendanceNote,
  turnsAt?: number,
): { path: keyof AttendanceNote; says: string } | null {
  if (absent && (came !== null || left !== null))
    return { path: 'absent', says: 'Who is absent neither came nor left: take the times out' }
  if (came !== null && left !== null && left !== came && !comesAfter(came, left, turnsAt))
    return { path: 'left', says: 'Left before coming: which is right?' }
  return null
}

/**
 * Whether a time on the wall is later in the class day than another.
 * @param turnsAt the hour at which a class day begins; left out, whether it is later at some hour that it may begin at
 * @example comesAfter('22:00', '01:00', 0) // false: that is the next day
 */
export const comesAfter = (time: string, later: string, turnsAt?: number): boolean =>
  (turnsAt === undefined ? TURNS : [turnsAt]).some(turn => minuteInDay(later, turn) > minuteInDay(time, turn))
