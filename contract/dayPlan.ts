import { array, boolean, object } from 'yup'
import type { ClassDay } from '../core/calendar'
import type { PlanBooth, PlannedCoupon, PlanTerms } from '../core/dayPlan'
import type { DayMeeting } from '../core/floor'
import { PIECES, type PieceKind } from '../core/trade'
import { boothNumber, capped, day, key, label, list, timeOfDay, uuid, wholeNumber } from './fields'
import type { StudentProgress } from './progress'

/** A day as it was planned. */
export interface DayPlan {
  /** When the class begins, on the shop's wall, and how long it is. */
  readonly from: string
  readonly minutes: number
  readonly terms: PlanTerms
  readonly lines: readonly PlannedCoupon[]
}

/** The plan of a day that stands; version 0 and no plan before anybody made one. */
export interface DayPlanVersion {
  readonly version: number
  readonly plan: DayPlan | null
  readonly saved: { readonly at: string; readonly by: string } | null
}

/** A student as a day is planned for; what all have in common stands beside them. */
export type StudentToPlan = Omit<StudentProgress, 'ladder' | 'curves' | 'school'> & {
  /** Noted as absent that day. */
  readonly absent: boolean
}

/** All that a section's day is planned from. */
export interface DayToPlan {
  readonly classDay: ClassDay
  /** Null on a day on which the section does not meet. */
  readonly meeting: DayMeeting | null
  /** What the day is free for; null where it is no day off. */
  readonly dayOff: string | null
  readonly kept: DayPlanVersion
  readonly students: readonly StudentToPlan[]
  readonly common: Pick<StudentProgress, 'ladder' | 'curves' | 'school'> | null
  /** Those of the shop that are in service. */
  readonly booths: readonly PlanBooth[]
  /** Rods in the store, by kind. */
  readonly rods: Readonly<Record<string, number>>
  /** Pieces that were welded on the class day before this one, by kind: what may be taken again. */
  readonly welded: Partial<Readonly<Record<PieceKind, number>>>
}

/** The body of `PUT /api/sections/:id/plan`. */
export interface DayPlanSave {
  readonly classDay: ClassDay
  readonly baseVersion: number
  readonly plan: DayPlan
}

const A_DAY = 24 * 60
const MOST_LINES = 400
const MOST_SHOWN = 12
const MOST_PAIRS = 40
const MOST_PIECES = 999
const STEPS = [5, 10, 15, 20, 30]

const whole = (what: string, low: number, high: number) => wholeNumber(what, low, high).required('${path} is missing')
const sinceBegin = () => whole('minutes since the class began', 0, A_DAY)

const shown = object({
  topic: label(80),
  from: sinceBegin(),
  minutes: whole('how many minutes it takes', 1, A_DAY),
}).exact()

const line = object({
  studentId: uuid().required('${path} is missing'),
  rungId: key(),
  nth: whole('which of this rung it is', 1, 20),
  booth: boothNumber().required('${path} is missing'),
  from: sinceBegin(),
  minutes: whole('how many minutes it takes', 1, A_DAY),
  pinned: boolean().strict().required('${path} is missing'),
}).exact()

const pieces = object(
  Object.fromEntries(
    PIECES.map(({ kind }) => [kind, whole('how many lie there', 0, MOST_PIECES).notRequired()]),
  ) as unknown as Record<PieceKind, ReturnType<typeof whole>>,
).exact()

const pair = capped(
  array(uuid().required()).strict().required().length(2, 'A pair is two students'),
  2,
  'A pair is two',
)

const terms = object({
  stepMinutes: whole('a step in minutes', 5, 30).oneOf(STEPS, `\${path} is one of ${STEPS.join(', ')}`),
  readMinutes: whole('minutes for a reading', 1, 30),
  shown: list(shown as never, MOST_SHOWN, `At most ${MOST_SHOWN} demonstrations`),
  pieces: pieces.required('${path} is missing'),
  again: pieces.optional().default(undefined),
  pairs: list(pair as never, MOST_PAIRS, `At most ${MOST_PAIRS} pairs`),
}).exact()

export const dayPlanSaveSchema = object({
  classDay: day().required('${path} is missing'),
  baseVersion: whole('the version it was edited from', 0, 1_000_000),
  plan: object({
    from: timeOfDay().required('${path} is missing'),
    minutes: whole('how long the class is, in minutes', 15, A_DAY),
    terms: terms.required('${path} is missing'),
    lines: list(line as never, MOST_LINES, `A day has at most ${MOST_LINES} coupons`),
  })
    .exact()
    .required('${path} is missing'),
}).exact()
