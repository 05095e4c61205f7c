import { database, rows } from './database'

/** What a section can be found from: the thing itself is in it, or the student whom it is about. */
export type OfSection = keyof typeof SECTIONS

/** A thing's sections, by its id. A thing that is not there is in none. */
const SECTIONS = {
  'section': 'SELECT id AS section_id FROM section WHERE id = ?',
  'student': 'SELECT section_id FROM student WHERE id = ?',
  'coupon': 'SELECT section_id FROM coupon JOIN student ON student.id = coupon.student_id WHERE coupon.id = ?',
  'test': 'SELECT section_id FROM test_record JOIN student ON student.id = student_id WHERE test_record.id = ?',
  'wait': 'SELECT section_id FROM waiting JOIN student ON student.id = waiting.student_id WHERE waiting.id = ?',
  'demonstration': 'SELECT section_id FROM demonstration WHERE id = ?',
  'remark': 'SELECT section_id FROM remark WHERE id = ?',
  'sign-off': 'SELECT section_id FROM sign_off JOIN student ON student.id = student_id WHERE sign_off.id = ?',
} as const

export const isOfSection = (word: string): word is OfSection => word in SECTIONS

/** The section that a thing is of; null when there is no such thing. */
export async function sectionOf(what: OfSection, id: string): Promise<string | null> {
  const [row] = await rows<{ section_id: string }>(database(), SECTIONS[what], [id])
  return row?.section_id ?? null
}
