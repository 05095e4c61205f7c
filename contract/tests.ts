import { array, boolean, number, object, string, type ObjectSchema } from 'yup'
import { CHECKS, CODE_FAMILIES, documentFaults, HOLD_POINTS, TEST_POSITIONS, type FamilyId, type TestDocument, type TestState } from '../core/qualification'
import { ELECTRODES, FILLER_RODS } from '../core/trade'
import { day, label, millimetres, oneOf, uuid } from './fields'

const moment = () => string().strict().matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d\.\d{3}Z$/, '${path} is a moment')
const seen = { by: label(20), at: moment().required('${path} is missing') }
const positive = () => millimetres().required('${path} is missing').moreThan(0, '${path} is over nothing').max(10_000, '${path} is at most 10 m')
const unitInterval = () => number().strict().min(0, '${path} is 0 or more').max(1, '${path} is at most 1')

const fillerSchema = object({
  classification: oneOf([...ELECTRODES.map(row => row.classification), ...FILLER_RODS.map(row => row.classification)], 'a filler'), depositMm: positive(),
  layers: number().strict().required('${path} is missing').integer().min(1, '${path} is at least 1').max(60), root: boolean().strict().required(),
}).exact()
const takenSchema = object({
  family: oneOf(CODE_FAMILIES.map(row => row.id), 'a family of codes'), form: oneOf(['plate', 'pipe'] as const, 'a form'), weld: oneOf(['groove', 'fillet'] as const, 'a weld'), position: oneOf(TEST_POSITIONS, 'a position'),
  thicknessMm: millimetres().required('${path} is missing'), outsideMm: millimetres().nullable().defined(), backing: boolean().strict().required(),
  progression: string().strict().nullable().defined().oneOf([null, 'up', 'down'], '${path} is up or down'), fillers: array(fillerSchema.required()).strict().required().max(6), unit: oneOf(['in', 'mm'] as const, 'a unit'),
}).exact()
const opening = object({
  length: number().strict().required('${path} is missing').min(0, '${path} is 0 or more').max(200, '${path} is at most 200'), corner: boolean().strict().required(),
  from: string().strict().nullable().defined().oneOf([null, 'slag', 'lack of fusion'], '${path} is slag or lack of fusion'),
}).exact()
const resultSchema = object({ openings: array(opening.required()).strict().required().max(30, 'At most 30 openings'), byHand: string().strict().nullable().defined().oneOf([null, 'passes', 'fails']), ...seen }).exact()

/** Every value of a record under names of its own, each held against one schema. */
const record = (schema: ObjectSchema<Record<string, unknown>>, most: number) => object().required('${path} is missing').test('record', '', async function (value: Record<string, unknown> | undefined) {
  const entries = Object.entries(value ?? {})
  if (entries.length > most) return this.createError({ message: `At most ${most}` })
  for (const [name, one] of entries) {
    try {
      await schema.validate(one, { strict: true })
    } catch (error) {
      return this.createError({ path: `${this.path}.${name}`, message: (error as Error).message })
    }
  }
  return true
})

export const testDocumentSchema = object({
  schema: number().strict().required().oneOf([1]), studentId: uuid().required('${path} is missing'), testDay: day().required('${path} is missing'), pieceName: label(80), seamMm: positive(), test: takenSchema.required('${path} is missing'),
  yieldMpa: number().strict().required('${path} is missing').min(150, '${path} is at least 150 MPa').max(1100, '${path} is at most 1100 MPa'), stamp: string().strict(false).trim().defined().max(20, '${path} is at most 20 characters'),
  checks: object(Object.fromEntries(CHECKS.map(check => [check, boolean().strict().required()]))).exact().required(),
  odds: unitInterval().nullable().defined(), holds: object(Object.fromEntries(HOLD_POINTS.map(point => [point, object(seen).exact().nullable().defined()]))).exact().required(),
  startedAt: moment().nullable().defined(), endedAt: moment().nullable().defined(),
  visual: object({ ...seen, outcome: oneOf(['passes', 'fails'] as const, 'an outcome'), couponId: uuid().nullable().defined(), failed: array(label(200)).strict().required().max(60) }).exact().nullable().defined(),
  results: record(resultSchema as unknown as ObjectSchema<Record<string, unknown>>, 20), notes: string().strict(false).trim().defined().max(2000, '${path} is at most 2000 characters'),
}).exact().test('order', '', function (value) {
  const [fault] = value?.test && value.results ? documentFaults(value as unknown as TestDocument) : []
  return fault ? this.createError({ path: this.path ? `${this.path}.${fault.path}` : fault.path, message: fault.message }) : true
})

/** The body of `PUT /api/tests/:id`. `baseVersion` is the version that was changed, 0 for a new test. */
export interface TestSave {
  readonly baseVersion: number
  readonly document: TestDocument
}
export const testSaveSchema = object({ baseVersion: number().strict().required('${path} is missing').integer().min(0), document: testDocumentSchema.required('${path} is missing') }).exact()

/** A test as it is kept. */
export interface SavedTest {
  readonly id: string
  readonly version: number
  readonly document: TestDocument
  readonly student: string
  readonly savedAt: string
  readonly savedBy: string
}

/** A line of the list of tests. */
export interface TestSummary {
  readonly id: string
  readonly studentId: string
  readonly student: string
  readonly family: FamilyId
  readonly pieceName: string
  readonly position: string
  readonly testDay: string
  readonly state: TestState
  readonly odds: number | null
}

/** A process used, or its use confirmed, with a witness: what keeps a qualification alive. */
export interface ProcessUse {
  readonly id: string
  readonly studentId: string
  readonly student: string
  readonly usedOn: string
  readonly witness: string
}
/** The body of `PUT /api/process-uses/:id`. */
export interface ProcessUseSave {
  readonly studentId: string
  readonly usedOn: string
  readonly witness: string
}
export const processUseSchema = object({ studentId: uuid().required('${path} is missing'), usedOn: day().required('${path} is missing'), witness: label(80) }).exact()

/** The Test bay of the school: tests, newest first, and uses of the process. */
export interface TestBay {
  readonly tests: readonly TestSummary[]
  readonly uses: readonly ProcessUse[]
}
