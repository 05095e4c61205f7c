import { currentRung } from '../../core/ladder'
import { elementOf, type ElementId } from '../../core/grading'
import { LIES, skillOf, skillRate, whenNext, type Lie } from '../../core/progress'
import type { ReportRow, SectionReport, StudentProgress } from '../../contract/progress'
import { schoolName } from './accounts'
import { database, rows } from './database'
import { progressOf } from './progress'

/** What a report tells the rates of. */
const TOLD: readonly ElementId[] = ['start', 'restart', 'tie-in', 'run', 'root', 'ends']

interface Attendance {
  days: number
  first_day: string | null
  last_day: string | null
  coupons: number
  welded: number | null
}

/** A section's report, a row a student; null when there is no such section. */
export async function reportOf(sectionId: string): Promise<SectionReport | null> {
  const [section] = await rows<{ name: string }>(database(), 'SELECT name FROM section WHERE id = ?', [sectionId])
  if (!section) return null
  const students = await rows<{ id: string }>(
    database(),
    'SELECT id FROM student WHERE section_id = ? AND active ORDER BY name',
    [sectionId],
  )
  const told: ReportRow[] = []
  for (const { id } of students) told.push(await rowOf((await progressOf(id))!))
  return { school: (await schoolName()) ?? '', section: section.name, rows: told }
}

async function rowOf(progress: StudentProgress): Promise<ReportRow> {
  const { student, ladder, climb, signOffs } = progress
  const [[counted], [length]] = await Promise.all([
    rows<Attendance>(
      database(),
      'SELECT COUNT(DISTINCT class_day) AS days, MIN(class_day) AS first_day, MAX(class_day) AS last_day, COUNT(*) AS coupons FROM coupon WHERE student_id = ?',
      [student.id],
    ),
    rows<{ welded: number | null }>(
      database(),
      `SELECT SUM(tried) AS welded FROM evidence WHERE student_id = ? AND element = 'run'`,
      [student.id],
    ),
  ])
  const nameOf = (rungId: string) => ladder.ladder.rungs.find(rung => rung.id === rungId)?.name ?? rungId
  const current = currentRung(climb)
  return {
    student,
    days: Number(counted!.days),
    firstDay: counted!.first_day,
    lastDay: counted!.last_day,
    coupons: Number(counted!.coupons),
    weldedMm: length?.welded ?? 0,
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
