import { array, boolean, number, object, string, type Schema } from 'yup'
import { FULL_LADDER, ladderFaults, type Ladder, type RungState, type SignOffRule } from '../core/ladder'
import { ELEMENTS } from '../core/grading'
import type { ReadinessKnown, RunLately } from '../core/readiness'
import { PIECES, POSITIONS, positionsFor } from '../core/trade'
import { across, choice, key, label, list, oneOf, typed, uuid } from './fields'
import type { Student } from './people'

const whole = (low: number, high: number) =>
  number()
    .strict()
    .required('${path} is missing')
    .integer('${path} is a whole number')
    .min(low, `\${path} is at least ${low}`)
    .max(high, `\${path} is at most ${high}`)
const share = () =>
  number().strict().required('${path} is missing').moreThan(0, '${path} is over 0').lessThan(1, '${path} is under 1')
const element = () =>
  oneOf(
    ELEMENTS.map(row => row.id),
    'an element',
  )

const RULES: Readonly<Record<SignOffRule['by'], Schema>> = {
  'in a row': object({ by: string().required(), good: whole(1, 20).nullable().defined() }).exact(),
  'of the last': across(
    object({ by: string().required(), good: whole(1, 12), last: whole(1, 12) }).exact(),
    ({ good, last }) => (last < good ? { path: 'last', message: 'last is not under good' } : null),
  ),
  'enough evidence': object({ by: string().required(), element: element(), rate: share(), sure: share() }).exact(),
  'LC-CUSUM': across(
    object({
      by: string().required(),
      element: element(),
      acceptable: share(),
      limit: number().strict().required().min(0.5, '${path} is at least 0.5').max(5, '${path} is at most 5'),
      unacceptable: share(),
    }).exact(),
    ({ acceptable, unacceptable }) =>
      unacceptable > acceptable ? null : { path: 'unacceptable', message: 'unacceptable is over acceptable' },
  ),
}
const signOffRule = choice<SignOffRule>('by', RULES, '${path} is no rule that is kept')

const rungSchema = across(
  object({
    id: key(),
    name: label(60),
    piece: oneOf(
      PIECES.map(row => row.kind),
      'a piece',
    ),
    position: oneOf(
      POSITIONS.map(row => row.id),
      'a position',
    ),
    open: boolean().strict().required(),
    rods: oneOf(['new', 'stubs'] as const, 'a choice of rods'),
    hand: oneOf(['own', 'other'] as const, 'a hand'),
    coupons: whole(1, 60),
    needs: array(key()).strict().required().max(10, 'A rung needs at most 10 others'),
    trains: array(element().required()).strict().required().max(ELEMENTS.length),
    signOff: signOffRule,
    retired: boolean().strict().required(),
  }).exact(),
  ({ piece, position }) =>
    positionsFor(piece).includes(position)
      ? null
      : { path: 'position', message: 'position does not go with the piece' },
)

export const ladderSchema = across(
  object({
    name: label(80),
    rungs: list(rungSchema.required(), 80, 'A ladder has at most 80 rungs'),
  }).exact(),
  value => ladderFaults(value as unknown as Ladder)[0],
)

/** The ladder in force. Version 1 is the shipped one, saved by no person. */
export interface LadderVersion {
  readonly version: number
  readonly ladder: Ladder
  readonly saved: { readonly at: string; readonly by: string; readonly why: string } | null
}
export const FIRST_LADDER: LadderVersion = { version: 1, ladder: FULL_LADDER, saved: null }

/** The body of `POST /api/ladder`: a new version over the one that was edited. */
export interface LadderSave {
  readonly baseVersion: number
  readonly why: string
  readonly ladder: Ladder
}
export const ladderSaveSchema = object({
  baseVersion: whole(1, 1e9),
  why: label(400),
  ladder: ladderSchema.required('${path} is missing'),
}).exact()

/** The body of `PUT /api/sign-offs/:id`. `why` may be empty where the rule is met and the time is right. */
export interface SignOffSave {
  readonly studentId: string
  readonly rungId: string
  readonly why: string
}
export const signOffSchema = object({
  studentId: uuid().required('${path} is missing'),
  rungId: key(),
  why: typed().defined('${path} is missing').max(400, '${path} is at most 400 characters'),
}).exact()
/** The body of `POST /api/sign-offs/:id/take-back`. */
export const takeBackSchema = object({ why: label(400) }).exact()

/** A rung signed off by an instructor, with where the rule stood. */
export interface SignOff {
  readonly id: string
  readonly rungId: string
  readonly outOfTurn: 'early' | 'late' | null
  readonly stood: string
  readonly why: string
  readonly by: string
  readonly at: string
}

/** What an instructor wants run next, over what was proposed. */
export interface NextPin {
  readonly rungId: string
  readonly over: string
  readonly by: string
  readonly at: string
}
/** The body of `PUT /api/students/:id/pin`; null takes the pin out. */
export const pinSchema = object({
  rungId: string()
    .strict()
    .nullable()
    .defined()
    .matches(/^[\w-]{1,64}$/, '${path} is not an id'),
  over: string().strict().defined().max(80),
}).exact()
export interface PinSave {
  readonly rungId: string | null
  readonly over: string
}

/** Everything predictions about one student are made from. */
export interface StudentProgress extends ReadinessKnown {
  readonly student: Student
  readonly ladder: LadderVersion
  readonly climb: readonly RungState[]
  readonly signOffs: readonly SignOff[]
  readonly lately: readonly RunLately[]
  readonly pin: NextPin | null
}

/** A student's row on the Board. */
export interface BoardRow {
  readonly student: { readonly id: string; readonly name: string; readonly booth: number | null }
  readonly climb: readonly RungState[]
  /** Local date of the last coupon; null before the first. */
  readonly lastDay: string | null
  readonly improved: number
  readonly coupons: number
}

export interface Board {
  readonly ladder: LadderVersion
  readonly rows: readonly BoardRow[]
}

/** What a section's report says of one student. Lengths mm, rates 0 to 1. */
export interface ReportRow {
  readonly student: Student
  /** Class days on which the student was there, and the first and the last on which a coupon was welded. */
  readonly days: number
  readonly firstDay: string | null
  readonly lastDay: string | null
  readonly coupons: number
  /** In the booth, over those days. */
  readonly boothMinutes: number
  /** Length of bead welded, as counted. */
  readonly weldedMm: number
  readonly signedOff: readonly { readonly rung: string; readonly by: string; readonly at: string }[]
  readonly current: string | null
  /** What the next coupon is expected to bring where the last was run. */
  readonly rates: readonly { readonly element: string; readonly rate: number; readonly coupons: number }[]
}

export interface SectionReport {
  readonly school: string
  readonly section: string
  readonly rows: readonly ReportRow[]
}
