import type { DayPoint, EvidenceSum, StudentRecord } from '../../contract/record'
import { database, rows } from './database'
import { findStudent } from './students'

/** One student's record: counts by position, rod and element, the days, the commonest flaws. Null when there is no such student. */
export async function findRecord(studentId: string): Promise<StudentRecord | null> {
  const student = await findStudent(studentId)
  if (!student) return null
  const [[section], [coupons], evidence, days, flaws] = await Promise.all([
    rows<{ name: string }>(database(), 'SELECT name FROM section WHERE id = ?', [student.sectionId]),
    rows<{ n: number }>(database(), 'SELECT COUNT(*) AS n FROM coupon WHERE student_id = ?', [studentId]),
    rows<EvidenceSum>(database(), `
      SELECT work, position, rod_family AS rodFamily, element, SUM(tried) AS tried, SUM(sound) AS sound
      FROM evidence WHERE student_id = ? GROUP BY work, position, rod_family, element ORDER BY position, work, rod_family`, [studentId]),
    rows<DayPoint>(database(), `
      SELECT class_day AS classDay, element, SUM(tried) AS tried, SUM(sound) AS sound
      FROM evidence WHERE student_id = ? GROUP BY class_day, element ORDER BY class_day`, [studentId]),
    rows<{ flaw: string, count: number }>(database(), `
      SELECT flaw, CAST(SUM(count) AS INT) AS count FROM flaw WHERE student_id = ? GROUP BY flaw ORDER BY count DESC, flaw LIMIT 6`, [studentId]),
  ])
  return { student, section: section?.name ?? '', coupons: coupons!.n, evidence, days, flaws: flaws.map(row => ({ flaw: row.flaw, count: Number(row.count) })) }
}
