import { currentRung } from '../../core/ladder'
import { elementOf, type ElementId } from '../../core/grading'
import { LIES, skillOf, skillRate, whenNext, type Lie } from '../../core/progress'
import type { ReportRow, SectionReport, StudentProgress } from '../../contract/progress'
import { findSchool } from './school'
import { database, rows } from './database'
import { progressOfAll } from './progress'
import { listStudents } from './students'

/** What a report tells the rates of. */
const TOLD: readonly ElementId[] = ['start', 'restart', 'tie-in', 'run', 'root', 'ends']

interface Attendance {
  days: number
  first_day: string | null
  last_day: string | null
  coupons: number
  welded: number
}
const NEVER_CAME: Attendance = { days: 0, first_day: null, last_day: null, coupons: 0, welded: 0 }

/** A section's report, a row a student; null when there is no such section. */
export async function reportOf(sectionId: string): Promise<SectionReport | null> {
  const [section] = await rows<{ name: string }>(database(), 'SELECT name FROM section WHERE id = ?', [sectionId])
  if (!section) return null
  const students = (await listStudents(sectionId)).filter(student => student.active)
  const ids = students.map(student => student.id)
  const [progress, attendance] = await Promise.all([progressOfAll(students), attendanceOf(ids)])
  return {
    school: (await findSchool())?.name ?? '',
    section: section.name,
    rows: progress.map(one => rowOf(one, attendance.get(one.student.id) ?? NEVER_CAME)),
  }
}

/** Class days, coupons and length of weld, by student. */
async function attendanceOf(studentIds: readonly string[]): Promise<Map<string, Attendance>> {
  if (studentIds.length === 0) return new Map()
  const marks = studentIds.map(() => '?').join(', ')
  const [counted, lengths] = await Promise.all([
    rows<Omit<Attendance, 'welded'> & { student_id: string }>(
      database(),
      `SELECT student_id, COUNT(DISTINCT class_day) AS days, MIN(class_day) AS first_day, MAX(class_day) AS last_day,
        COUNT(*) AS coupons FROM coupon WHERE student_id IN (${marks}) GROUP BY student_id`,
      studentIds,
    ),
    rows<{ student_id: string; welded: number }>(
      database(),
      `SELECT student_id, SUM(tried) AS welded FROM evidence
      WHERE student_id IN (${marks}) AND element = 'run' GROUP BY student_id`,
      studentIds,
    ),
  ])
  const welded = new Map(lengths.map(row => [row.student_id, row.welded]))
  return new Map(counted.map(row => [row.student_id, { ...row, welded: welded.get(row.student_id) ?? 0 }]))
}

function rowOf(progress: StudentProgress, attendance: Attendance): ReportRow {
  const { student, ladder, climb, signOffs } = progress
  const nameOf = (rungId: string) => ladder.ladder.rungs.find(rung => rung.id === rungId)?.name ?? rungId
  const current = currentRung(climb)
  return {
    student,
    days: Number(attendance.days),
    firstDay: attendance.first_day,
    lastDay: attendance.last_day,
    coupons: Number(attendance.coupons),
    weldedMm: attendance.welded,
    signedOff: signOffs.map(row => ({ rung: nameOf(row.rungId), by: row.by, at: row.at })),
    current: current ? nameOf(current.rungId) : null,
    rates: ratesOf(progress),
  }
}

/** Where a student welds most of late: the lie with the most coupons behind it. */
function ratesOf({ standing, curves }: StudentProgress): ReportRow['rates'] {
  const lie: Lie = [...LIES].sort((a, b) => standing.here[b] - standing.here[a])[0]!
  return TOLD.flatMap(element => {
    const own = standing.beliefs[element]
    if (!own) return []
    const cell = {
      element,
      lie,
      work: lie === 'round the pipe' ? 'pipe' : 'plate',
      rodFamily: 'low hydrogen',
      otherHand: false,
      otherWay: false,
    } as const
    return [
      {
        element: elementOf(element).name,
        rate: skillRate(skillOf(standing, curves, element), cell, whenNext(standing, lie, standing.lastDay ?? 0)).rate,
        coupons: own.coupons,
      },
    ]
  })
}
