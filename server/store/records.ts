import type { Hand } from '../../core/coupon'
import type { PositionId, Travel } from '../../core/trade'
import type { DayPoint, EvidenceSum, PadGridCell, StudentRecord } from '../../contract/record'
import { database, rows } from './database'
import { toldTallies } from '../../core/diagnosis'
import { signTallies } from './signCourses'
import { findStudent } from './students'

/** Causes that are shown with what telling them came to. */
const MOST_TOLD = 4

/**
 * One student's record: counts by position, rod and element, the days, the commonest flaws. Null when there is no
 * such student.
 */
export async function findRecord(studentId: string): Promise<StudentRecord | null> {
  const student = await findStudent(studentId)
  if (!student) return null
  const [[section], [coupons], evidence, days, flaws, grid, causes, signs] = await Promise.all([
    rows<{ name: string }>(database(), 'SELECT name FROM section WHERE id = ?', [student.sectionId]),
    rows<{ n: number }>(database(), 'SELECT COUNT(*) AS n FROM coupon WHERE student_id = ?', [studentId]),
    rows<EvidenceSum>(
      database(),
      `
      SELECT work, position, rod_family AS rodFamily, element, SUM(tried) AS tried, SUM(sound) AS sound
      FROM evidence WHERE student_id = ? GROUP BY work, position, rod_family, element
        ORDER BY position, work, rod_family`,
      [studentId],
    ),
    rows<DayPoint>(
      database(),
      `
      SELECT class_day AS classDay, element, SUM(tried) AS tried, SUM(sound) AS sound
      FROM evidence WHERE student_id = ? GROUP BY class_day, element ORDER BY class_day`,
      [studentId],
    ),
    rows<{ flaw: string; count: number }>(
      database(),
      `
      SELECT flaw, CAST(SUM(count) AS INT) AS count FROM flaw WHERE student_id = ? GROUP BY flaw
        ORDER BY count DESC, flaw LIMIT 6`,
      [studentId],
    ),
    padGrid(studentId),
    rows<{ cause: string; count: number }>(
      database(),
      `SELECT cause, COUNT(*) AS count FROM cause_said WHERE student_id = ? GROUP BY cause
        ORDER BY count DESC, cause LIMIT 4`,
      [studentId],
    ),
    signTallies(studentId),
  ])
  return {
    student,
    section: section?.name ?? '',
    coupons: coupons!.n,
    evidence,
    days,
    flaws: flaws.map(row => ({ flaw: row.flaw, count: Number(row.count) })),
    grid,
    causes: causes.map(row => ({ cause: row.cause, count: Number(row.count) })),
    told: toldTallies(signs).slice(0, MOST_TOLD),
  }
}

interface GridRow {
  position: PositionId
  hand: Hand
  travel: Travel
  coupons: number
  starts: number
  sound_starts: number
  restarts: number
  sound_restarts: number
}

/** Pads by position, hand and way: whether a student has covered the grid, and how starts and restarts go in it. */
async function padGrid(studentId: string): Promise<PadGridCell[]> {
  const found = await rows<GridRow>(
    database(),
    `
    SELECT coupon.position, coupon.hand, coupon.travel, COUNT(DISTINCT coupon.id) AS coupons,
      SUM(IF(element = 'start', tried, 0)) AS starts, SUM(IF(element = 'start', sound, 0)) AS sound_starts,
      SUM(IF(element = 'restart', tried, 0)) AS restarts, SUM(IF(element = 'restart', sound, 0)) AS sound_restarts
    FROM evidence JOIN coupon ON coupon.id = evidence.coupon_id
    WHERE evidence.student_id = ? AND evidence.work = 'plate' AND evidence.element IN ('start', 'restart')
      AND coupon.hand IS NOT NULL AND coupon.travel IS NOT NULL
    GROUP BY coupon.position, coupon.hand, coupon.travel ORDER BY coupon.position`,
    [studentId],
  )
  return found.map(row => ({
    position: row.position,
    hand: row.hand,
    travel: row.travel,
    coupons: Number(row.coupons),
    starts: { tried: row.starts, sound: row.sound_starts },
    restarts: { tried: row.restarts, sound: row.sound_restarts },
  }))
}
