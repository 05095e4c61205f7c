import { array, boolean, number, object, string, type Schema } from 'yup'
import { TEST_POSITIONS, type TestPosition } from '../core/qualification'
import {
  CHECKS,
  HOLD_POINTS,
  OPENING_KINDS,
  type ProcessUse,
  type Retest,
  type WelderTest,
  type TestState,
} from '../core/welderTest'
import { ELECTRODES, FILLER_RODS, type Process } from '../core/trade'
import { bookRefSchema } from './codeBooks'
import { ticketSchema } from './coupon'
import { day, each, key, label, millimetres, moment, oneOf, typed, uuid } from './fields'
import { fitUpSchema, passesSchema } from './pass'
import { pieceSchema } from './piece'

const seen = { by: label(20), at: moment().required('${path} is missing') }
const positive = () =>
  millimetres()
    .required('${path} is missing')
    .moreThan(0, '${path} is over nothing')
    .max(10_000, '${path} is at most 10 m')
const words = (most: number) =>
  typed().defined('${path} is missing').max(most, `\${path} is at most ${most} characters`)

const fillerSchema = object({
  classification: oneOf(
    [...ELECTRODES, ...FILLER_RODS].map(row => row.classification),
    'a filler',
  ),
  depositMm: positive(),
  layers: number()
    .strict()
    .required('${path} is missing')
    .integer('${path} is a whole number')
    .min(1, '${path} is at least 1')
    .max(60, '${path} is at most 60'),
  root: boolean().strict().required(),
}).exact()
const takenSchema = object({
  form: oneOf(['plate', 'pipe'] as const, 'a form'),
  weld: oneOf(['groove', 'fillet'] as const, 'a weld'),
  position: oneOf(TEST_POSITIONS, 'a position'),
  thicknessMm: millimetres().required('${path} is missing'),
  outsideMm: millimetres().nullable().defined(),
  backing: boolean().strict().required(),
  progression: string<'up' | 'down'>()
    .strict()
    .nullable()
    .defined()
    .oneOf([null, 'up', 'down'], '${path} is up or down'),
  fillers: array(fillerSchema.required()).strict().required().max(6),
  unit: oneOf(['in', 'mm'] as const, 'a unit'),
}).exact()
const openingSchema = object({
  length: number()
    .strict()
    .required('${path} is missing')
    .moreThan(0, '${path} is over nothing')
    .max(200, '${path} is at most 200'),
  atMm: millimetres().required('${path} is missing').min(0, '${path} is 0 or more'),
  corner: boolean().strict().required(),
  kind: oneOf(OPENING_KINDS, 'a kind of opening'),
  depth: number().strict().nullable().defined().min(0, '${path} is 0 to 1').max(1, '${path} is 0 to 1'),
}).exact()
const resultSchema = object({
  openings: array(openingSchema.required()).strict().required().max(30, 'At most 30 openings'),
  byHand: string<'passes' | 'fails'>().strict().nullable().defined().oneOf([null, 'passes', 'fails']),
  note: words(1000),
  ...seen,
}).exact()
const span = { from: moment().required('${path} is missing'), to: moment().nullable().defined('${path} is missing') }

/** Every value of a record under a key of its own, each held against one schema. */
const asRecord = <T>(schema: Schema<T>, most: number) =>
  object()
    .required('${path} is missing')
    .test('record', '', async function (value: Record<string, unknown> | undefined) {
      const entries = Object.entries(value ?? {})
      if (entries.length > most) return this.createError({ message: `At most ${most}` })
      for (const [name, one] of entries) {
        try {
          key().validateSync(name)
          await schema.validate(one, { strict: true })
        } catch (error) {
          return this.createError({ path: `${this.path}.${name.slice(0, 40)}`, message: (error as Error).message })
        }
      }
      return true
    }) as unknown as Schema<Record<string, T>>

const anyOdds = () => number().strict().min(0, '${path} is 0 or more').max(1, '${path} is at most 1')
const odds = () => anyOdds().required('${path} is missing')
const maybeOdds = () => anyOdds().optional().default(undefined)

/** The shape of a test. Whether its steps are in order, its book says: see `documentFaults`. */
export const welderTestSchema = object({
  schema: number<1>().strict().required().oneOf([1]),
  studentId: uuid().required('${path} is missing'),
  testDay: day().required('${path} is missing'),
  book: bookRefSchema.required('${path} is missing'),
  rulesVersion: number().strict().required().integer().min(1),
  pieceName: label(80),
  piece: pieceSchema,
  ticket: ticketSchema.required('${path} is missing'),
  passes: passesSchema.required('${path} are missing'),
  couponId: uuid().required('${path} is missing'),
  test: takenSchema.required('${path} is missing'),
  examinedBy: oneOf(['specimens', 'radiograph'] as const, 'a way to examine'),
  yieldMpa: number()
    .strict()
    .required('${path} is missing')
    .min(150, '${path} is at least 150 MPa')
    .max(1100, '${path} is at most 1100 MPa'),
  limitMinutes: number()
    .strict()
    .nullable()
    .defined()
    .min(5, '${path} is at least 5')
    .max(6000, '${path} is at most 6000'),
  retest: object({
    of: uuid().required('${path} is missing'),
    pieces: number().strict().required().integer().min(1, '${path} is at least 1').max(10, '${path} is at most 10'),
  })
    .exact()
    .nullable()
    .defined(),
  odds: anyOdds().nullable().defined(),
  said: object({
    visual: odds(),
    bends: odds(),
    byCoupons: object({ visual: odds(), face: maybeOdds(), root: maybeOdds(), bends: odds() })
      .exact()
      .optional()
      .default(undefined),
    low: odds(),
    high: odds(),
  })
    .exact()
    .optional()
    .default(undefined),
  stamp: words(20),
  checks: object(each(CHECKS, () => boolean().strict().required()))
    .exact()
    .required(),
  fitUp: fitUpSchema.nullable().defined(),
  holds: object(each(HOLD_POINTS, () => object(seen).exact().nullable().defined()))
    .exact()
    .required(),
  startedAt: moment().nullable().defined(),
  endedAt: moment().nullable().defined(),
  stops: array(
    object({ ...span, why: label(200) })
      .exact()
      .required(),
  )
    .strict()
    .required()
    .max(40, 'At most 40 stops'),
  runs: asRecord(object(span).exact(), 60),
  visual: object({
    ...seen,
    computed: oneOf(['passes', 'fails'] as const, 'an outcome'),
    outcome: oneOf(['passes', 'fails'] as const, 'an outcome'),
    failed: array(label(300)).strict().required().max(60),
    failedOn: array(oneOf(['face', 'root'] as const, 'a side'))
      .strict()
      .optional()
      .default(undefined)
      .max(2),
    why: words(400),
  })
    .exact()
    .nullable()
    .defined(),
  results: asRecord(resultSchema, 20),
  notes: words(2000),
}).exact()

/** The body of `PUT /api/tests/:id`. `baseVersion` is the version that was changed, 0 for a new test. */
export interface WelderTestSave {
  readonly baseVersion: number
  readonly document: WelderTest
}
export const welderTestSaveSchema = object({
  baseVersion: number().strict().required('${path} is missing').integer().min(0),
  document: welderTestSchema.required('${path} is missing'),
}).exact()

/** The body of `POST /api/tests/:id/call-off`: the version that was seen. */
export const callOffSchema = object({
  baseVersion: number().strict().required('${path} is missing').integer().min(1),
}).exact()

/** A test as it is kept. */
export interface SavedWelderTest {
  readonly id: string
  readonly version: number
  readonly document: WelderTest
  readonly student: string
  readonly savedAt: string
  readonly savedBy: string
}

/** A line of the list of tests. */
export interface TestSummary {
  readonly id: string
  readonly studentId: string
  readonly student: string
  /** Still a student of the school. */
  readonly here: boolean
  readonly book: { readonly id: string; readonly version: number }
  readonly pieceName: string
  readonly position: TestPosition
  /** The rod that filled. */
  readonly classification: string
  readonly processes: readonly Process[]
  readonly testDay: string
  readonly state: TestState
  readonly odds: number | null
  readonly retest: Retest | null
  readonly bent: number
  readonly opened: number
}

/** A use of a process as it is kept. */
export interface KeptUse extends ProcessUse {
  readonly id: string
  readonly studentId: string
  readonly student: string
  readonly witness: string
}
/** The body of `PUT /api/process-uses/:id`. */
export interface ProcessUseSave extends ProcessUse {
  readonly studentId: string
  readonly witness: string
}
export const processUseSchema = object({
  studentId: uuid().required('${path} is missing'),
  process: oneOf(['SMAW', 'GTAW'] as const, 'a process'),
  kind: oneOf(['used', 'confirmed'] as const, 'a kind of use'),
  usedOn: day().required('${path} is missing'),
  witness: label(80),
}).exact()

/** The Test bay of the school, or of one student: tests and uses of processes, newest first. */
export interface TestBay {
  readonly tests: readonly TestSummary[]
  readonly uses: readonly KeptUse[]
}
