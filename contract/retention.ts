import { number, object } from 'yup'

/** For how many months a school may keep the record of a student who left. */
export const KEEP_MONTHS = { least: 6, most: 240 } as const

/** The body of `PUT /api/school/retention`; null where the school does not say. */
export const retentionSchema = object({
  months: number()
    .strict()
    .nullable()
    .defined('${path} is missing')
    .typeError('${path} is a number of months')
    .integer('${path} is a whole number of months')
    .min(KEEP_MONTHS.least, `\${path} is at least ${KEEP_MONTHS.least} months`)
    .max(KEEP_MONTHS.most, `\${path} is at most ${KEEP_MONTHS.most} months`),
}).exact()

/** A student who left, and when the record goes. Days local. */
export interface Leaver {
  readonly id: string
  readonly name: string
  readonly section: string
  readonly leftOn: string
  /** Null where the school has not said how long it keeps a record. */
  readonly goesOn: string | null
  readonly due: boolean
}

/** What `GET /api/school/retention` answers: those who left, the one that goes first on top. */
export interface Retention {
  readonly months: number | null
  readonly leavers: readonly Leaver[]
}
