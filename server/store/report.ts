import type { DayThere } from '../../core/floor'
import { currentRung } from '../../core/ladder'
import { elementOf, type ElementId } from '../../core/grading'
import { LIES, skillOf, skillRate, whenNext, type Lie } from '../../core/progress'
import type { ReportRow, SectionReport, StudentProgress } from '../../contract/progress'
import { daysThere } from './boothTime'
import { findSchool } from './school'
import { findSection } from './sections'
import { database, rows } from './database'
import { progressOfAll } from './progress'
import { listStudents } from './students'

/** What a report tells the rates of. */
const TOLD: readonly ElementId[] = ['start', 'restart', 'tie-in', 'run', 'root', 'ends']

interface Run {
  first_day: string | null
  last_day: string | null
  coupons: number
  welded: number
}
const NEVER_RAN: Run = { first_day: null, last_day: null, coupons: 0, welded: 0 }

/** A section's report, a row a student; null when there is no such section. */
export async function reportOf(sectionId: string): Promise<SectionReport | null> {
  const section = await findSection(sectionId)
  if (!section) return null
  const students = (await listStudents(sectionId)).filter(student => student.active)
  const ids = students.map(student => student.id)
  const now = new Date()
  const [progress, run, there] = await Promise.all([progressOfAll(students), runBy(ids), daysThere(section, ids, now)])
  return {
    school: (await findSchool())?.name ?? '',
    section: section.name,
    rows: progress.map(one => rowOf(one, run.get(one.student.id) ?? NEVER_RAN, there.get(one.student.id)!)),
  }
}

/** Coupons and length of weld, by student. */
async function runBy(studentIds: readonly string[]): Promise<Map<string, Run>> {
  if (studentIds.length === 0) return new Map()
  const marks = studentIds.map(() => '?').join(', ')
  const [counted, lengths] = await Promise.all([
    rows<Omit<Run, 'welded'> & { student_id: string }>(
      database(),
      `SELECT student_id, MIN(class_day) AS first_day, MAX(class_day) AS last_day, COUNT(*) AS coupons
        FROM coupon WHERE student_id IN (${marks}) GROUP BY student_id`,
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

function rowOf(progress: StudentProgress, run: Run, there: readonly DayThere[]): ReportRow {
  const { student, ladder, climb, signOffs } = progress
  const nameOf = (rungId: string) => ladder.ladder.rungs.find(rung => rung.id === rungId)?.name ?? rungId
  const current = currentRung(climb)
  return {
    student,
    days: there.length,
    boothMinutes: there.reduce((sum, day) => sum + day.minutes, 0),
    firstDay: run.first_day,
    lastDay: run.last_day,
    coupons: Number(run.coupons),
    weldedMm: run.welded,
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
