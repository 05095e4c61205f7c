import type { RowDataPacket } from 'mysql2/promise'
import { database } from './database'

/**
 * What is of a section, by the word that its routes have for it: the thing itself is in it, or the student whom it is
 * about. A thing that is not there is in none.
 */
const SECTIONS = {
  'section': 'SELECT id AS section_id FROM section WHERE id IN (?)',
  'student': 'SELECT section_id FROM student WHERE id IN (?)',
  'coupon': 'SELECT section_id FROM coupon JOIN student ON student.id = coupon.student_id WHERE coupon.id IN (?)',
  'picture':
    'SELECT section_id FROM coupon_picture JOIN student ON student.id = student_id WHERE coupon_picture.id IN (?)',
  'test': 'SELECT section_id FROM test_record JOIN student ON student.id = student_id WHERE test_record.id IN (?)',
  'wait': 'SELECT section_id FROM waiting JOIN student ON student.id = waiting.student_id WHERE waiting.id IN (?)',
  'demonstration': 'SELECT section_id FROM demonstration WHERE id IN (?)',
  'remark': 'SELECT section_id FROM remark WHERE id IN (?)',
  'sign-off': 'SELECT section_id FROM sign_off JOIN student ON student.id = student_id WHERE sign_off.id IN (?)',
  'tablet': 'SELECT section_id FROM tablet WHERE id IN (?)',
  'handful': `SELECT section_id FROM rod_movement JOIN student ON student.id = student_id
    WHERE rod_movement.id IN (?) OR rod_movement.handful_id IN (?)`,
} as const

export const isOfSection = (word: string): boolean => word in SECTIONS

const EVERYWHERE = Object.values(SECTIONS).join(' UNION ')

/** The sections that things of any kind are of. */
export async function sectionsOf(ids: readonly string[]): Promise<string[]> {
  const lists = Array.from(EVERYWHERE.matchAll(/\(\?\)/g), () => ids)
  const [found] = await database().query<RowDataPacket[]>(EVERYWHERE, lists)
  return found.map(row => String(row.section_id))
}
