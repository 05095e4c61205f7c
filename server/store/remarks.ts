import type { Remark, RemarkSave } from '../../contract/remarks'
import { database, inTransaction, isDuplicate, rows, run, toDateTime, toIso } from './database'
import { noteSection } from './floorSerial'

interface RemarkRow {
  id: string
  section_id: string
  student_id: string | null
  student: string | null
  booth: number | null
  says: string
  left_by: string
  left_at: string
}

/** Remarks of a section that are not ticked off, oldest first. */
export async function openRemarks(sectionId: string): Promise<Remark[]> {
  const found = await rows<RemarkRow>(
    database(),
    `SELECT remark.id, remark.section_id, student_id, student.name AS student, remark.booth, says, left_by, left_at
    FROM remark LEFT JOIN student ON student.id = student_id
    WHERE remark.section_id = ? AND ticked_at IS NULL ORDER BY left_at, remark.id`,
    [sectionId],
  )
  return found.map(row => ({
    id: row.id,
    sectionId: row.section_id,
    studentId: row.student_id,
    student: row.student,
    booth: row.booth,
    says: row.says,
    by: row.left_by,
    at: toIso(row.left_at),
  }))
}

/** Leaves a remark; the same again is one remark. */
export async function addRemark(
  id: string,
  { sectionId, studentId, booth, says }: RemarkSave,
  by: { readonly name: string; readonly now: Date },
): Promise<void> {
  await inTransaction(database(), async on => {
    try {
      await run(
        on,
        `INSERT INTO remark (id, section_id, student_id, booth, says, left_by, left_at) VALUES (?, ?, ?, ?, ?, ?, ?)`,
        [id, sectionId, studentId, booth, says, by.name, toDateTime(by.now)],
      )
    } catch (error) {
      if (isDuplicate(error)) return
      throw error
    }
    await noteSection(on, sectionId)
  })
}

/** Ticks a remark off; the first who ticks stands. False where there is no such remark. */
export async function tickRemark(id: string, by: { readonly name: string; readonly now: Date }): Promise<boolean> {
  return inTransaction(database(), async on => {
    const [row] = await rows<{ section_id: string }>(on, 'SELECT section_id FROM remark WHERE id = ? FOR UPDATE', [id])
    if (!row) return false
    await run(on, 'UPDATE remark SET ticked_by = ?, ticked_at = ? WHERE id = ? AND ticked_at IS NULL', [
      by.name,
      toDateTime(by.now),
      id,
    ])
    await noteSection(on, row.section_id)
    return true
  })
}
