import { object, string } from 'yup'
import { CAUTIONS, type Caution } from '../core/trade'
import { list } from './fields'

/** What `GET /api/students/:id/cautions` answers. */
export interface StudentCautions {
  /** Those of what the student runs that are still to be read; none where the house does not ask. */
  readonly left: readonly Caution[]
  /** What was said to be read, as it was shown, the newest first. */
  readonly read: readonly CautionRead[]
}

/** A caution as it was shown, and who said that it was read: the student, or an instructor who read it with them. */
export interface CautionRead {
  readonly text: string
  /** ISO 8601. */
  readonly at: string
  readonly by: string
}

/** The body of `PUT /api/students/:id/cautions`: these texts were read. */
export const cautionsReadSchema = object({
  texts: list<string>(
    string()
      .strict()
      .required('${path} is missing')
      .oneOf(
        CAUTIONS.map(caution => caution.text),
        '${path} is no caution that is shown now: load the page again',
      ) as never,
    CAUTIONS.length,
    `At most ${CAUTIONS.length} cautions`,
    'Nothing was read',
  ),
}).exact()
