import { object } from 'yup'
import { across, boothNumber, label, uuid } from './fields'

/** What a remark is about: one student, one booth, or the whole section where both are null. */
export interface RemarkAbout {
  readonly sectionId: string
  readonly studentId: string | null
  readonly booth: number | null
}

/** The body of `PUT /api/remarks/:id`. */
export interface RemarkSave extends RemarkAbout {
  readonly says: string
}

/** Something to be remembered next time. */
export interface Remark extends RemarkSave {
  readonly id: string
  /** The student's name; null where it is about no student. */
  readonly student: string | null
  readonly by: string
  /** ISO 8601. */
  readonly at: string
}

export const MOST_SAID = 200

export const remarkSchema = across(
  object({
    sectionId: uuid().required('${path} is missing'),
    studentId: uuid().nullable().defined('${path} is missing: null where it is about no student'),
    booth: boothNumber().nullable().defined('${path} is missing: null where it is about none'),
    says: label(MOST_SAID).label('What to remember'),
  }).exact(),
  ({ studentId, booth }) =>
    studentId !== null && booth !== null
      ? { path: 'booth', message: 'A remark is about a student or a booth, not both' }
      : null,
)
