import { classDayAt, wallClockAt } from '../../core/calendar'
import {
  attendanceOf,
  hoursToward,
  meetingOn,
  timeByPosition,
  type DayRun,
  type DayThere,
  type Meets,
} from '../../core/floor'
import type { StudentHours } from '../../contract/hours'
import { daysKnown } from './attendance'
import { database, rows } from './database'
import { programmeHours, schoolClock } from './school'
import { findSection } from './sections'
import { findStudent } from './students'

/** The days of this term on which each student was there, and for how long. */
export async function daysThere(
  section: Meets,
  studentIds: readonly string[],
  now: Date,
): Promise<Map<string, DayThere[]>> {
  const clock = await schoolClock()
  const today = classDayAt(now, clock)
  const known = await daysKnown(studentIds, { from: section.termFrom, to: today, clock })
  return new Map(
    [...known].map(([id, days]) => [
      id,
      [...days].flatMap(([day, own]): DayThere[] => {
        const time = day === today ? wallClockAt(now, clock.zone) : null
        const { state, minutes } = attendanceOf({
          ...own,
          meeting: meetingOn(section, day, clock.turnsAt),
          now: time,
          turnsAt: clock.turnsAt,
        })
        return state === 'here' ? [{ day, minutes }] : []
      }),
    ]),
  )
}

/** A student's hours this term, by position, and toward the programme's; null where there is no such student. */
export async function hoursOf(studentId: string, now: Date): Promise<StudentHours | null> {
  const student = await findStudent(studentId)
  const section = student && (await findSection(student.sectionId))
  if (!section) return null
  const [there, runs, wanted] = await Promise.all([
    daysThere(section, [studentId], now),
    rows<DayRun>(
      database(),
      `SELECT class_day AS day, position, SUM(tried) AS weldedMm FROM evidence
      WHERE student_id = ? AND element = 'run' AND class_day >= ? GROUP BY class_day, position`,
      [studentId, section.termFrom],
    ),
    programmeHours(),
  ])
  const days = there.get(studentId)!
  const boothMinutes = days.reduce((sum, day) => sum + day.minutes, 0)
  const positions = timeByPosition(days, runs)
  return { days: days.length, boothMinutes, positions, programme: hoursToward(wanted, boothMinutes, positions) }
}
