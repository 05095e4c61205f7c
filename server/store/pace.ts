import { classDayAt, daysAfter, weekdayName } from '../../core/calendar'
import { meetingDays } from '../../core/floor'
import { hoursHere, paceOf, pastClasses, type DaysKnown, type Timetable } from '../../core/readiness'
import type { Work } from '../../core/trade'
import type { StudentPace } from '../../contract/pace'
import type { Section } from '../../contract/people'
import { daysThere } from './boothTime'
import { database, rows } from './database'
import { schoolClock } from './school'
import { findSection } from './sections'
import { findStudent } from './students'

/** The classes that are looked at: a pace of long ago is none. */
const LATE_CLASSES = 8
/** As far back as they can be, holidays among them, in weeks of as many classes as the section has. */
const HOLIDAYS = 2

/** A student's pace of late, with what work takes in the section; null where there is no such student. */
export async function studentPace(studentId: string, now: Date): Promise<StudentPace | null> {
  const student = await findStudent(studentId)
  const section = student && (await findSection(student.sectionId))
  if (!section) return null
  const timetable = timetableOf(section)
  const today = classDayAt(now, await schoolClock())
  const weeks = Math.ceil((HOLIDAYS * LATE_CLASSES) / Math.max(1, timetable.weekdays.length))
  const from = [section.termFrom, daysAfter(today, -7 * weeks)].sort().at(-1)!
  const known = await knownOfSection({ ...section, termFrom: from }, today, now)
  const held = [...new Set([...known.values()].flatMap(({ there }) => there.map(one => one.day)))]
    .filter(day => timetable.weekdays.includes(weekdayName(day)))
    .sort()
  const classesOf = (days: DaysKnown) => pastClasses(held, days, LATE_CLASSES)
  const own = known.get(studentId)
  return {
    pace: own ? paceOf(classesOf(own), hoursHere([...known.values()].flatMap(classesOf))) : null,
    timetable,
  }
}

const timetableOf = ({ meetings, daysOff, termTo }: Omit<Section, 'students'>): Timetable => ({
  weekdays: meetingDays({ meetings }),
  daysOff,
  last: termTo,
})

/** The days since `termFrom` that are over, of each student of a section. */
async function knownOfSection(
  section: Omit<Section, 'students'>,
  today: string,
  now: Date,
): Promise<Map<string, DaysKnown>> {
  const students = await rows<{ id: string }>(database(), 'SELECT id FROM student WHERE section_id = ?', [section.id])
  const ids = students.map(one => one.id)
  const [there, runs] = await Promise.all([
    daysThere(section, ids, now),
    rows<{ student_id: string; day: string; work: Work; coupons: number }>(
      database(),
      `SELECT student_id, class_day AS day, work, COUNT(DISTINCT coupon_id) AS coupons FROM evidence
      WHERE student_id IN (${ids.map(() => '?').join(', ')}) AND class_day BETWEEN ? AND ?
      GROUP BY student_id, class_day, work`,
      [...ids, section.termFrom, today],
    ),
  ])
  return new Map(
    ids.map(id => [
      id,
      {
        there: there.get(id)!.filter(one => one.day < today),
        runs: runs
          .filter(row => row.student_id === id && row.day < today)
          .map(({ day, work, coupons }) => ({ day, work, coupons })),
      },
    ]),
  )
}
