import { over, under } from '../core/units'
import { boolean, number, object, string, type Schema } from 'yup'
import type { CouponDocument, Degree, Face, Mark, TryKind, Verdict } from '../core/coupon'
import { FAULTS, isPlate, MOST_PASSES, GAUGE_KINDS, refusals, stripOf } from '../core/coupon'
import { CAUSES, SIGNS } from '../core/diagnosis'
import { MOST_OFFSET_A } from '../core/setup'
import { DISCONTINUITIES, ELECTRODES, POSITIONS, ROD_SIZES } from '../core/trade'
import {
  across,
  amperes,
  boothNumber,
  capped,
  choice,
  day,
  each,
  key,
  label,
  list,
  longList,
  millimetres,
  oneOf,
  uuid,
} from './fields'
import { fitUpSchema, passesSchema } from './pass'
import { pieceSchema } from './piece'

const MOST_NOTES = 10_000
/** Lanes: the two halves of every pass of a pipe, and its root side. */
const MOST_BEADS = 2 * MOST_PASSES + 1
const MOST_MARKS = 2_000

const degree = () => oneOf<Degree>(['sound', 'workable', 'poor'], 'a degree')
const verdict = () => oneOf<Verdict>(['move on', 'run it again', 'start over'], 'a verdict')

export const ticketSchema = object({
  rung: label(80),
  rungId: string().strict().optional().min(1).max(64),
  position: oneOf(
    POSITIONS.map(row => row.id),
    'a position',
  ),
  classification: oneOf(
    ELECTRODES.map(row => row.classification),
    'a rod',
  ),
  diameterMm: number()
    .strict()
    .required('${path} is missing')
    .test(
      'size',
      `\${path} is no rod size that is kept; choose from ${ROD_SIZES.map(size => size.label).join(', ')}`,
      value => ROD_SIZES.some(size => Math.abs(size.diameterMm - (value ?? 0)) < 0.01),
    ),
  make: label(40).optional(),
  rods: oneOf(['new', 'stubs'] as const, 'a kind of rod'),
  currentA: amperes(),
  panelOffsetA: number()
    .strict()
    .optional()
    .integer('${path} is a whole number of A')
    .min(-MOST_OFFSET_A, `\${path} is at least -${MOST_OFFSET_A} A`)
    .max(MOST_OFFSET_A, `\${path} is at most ${MOST_OFFSET_A} A`),
  polarity: oneOf(['DCEP', 'DCEN', 'AC'] as const, 'a polarity'),
  arcForcePercent: number().strict().optional().min(0, '${path} is 0 % or more').max(100, '${path} is at most 100 %'),
  hand: oneOf(['right', 'left'] as const, 'a hand'),
  travel: oneOf(['left to right', 'right to left', 'up', 'down'] as const, 'a direction'),
  booth: boothNumber().nullable().defined(),
  lot: object({
    makersLot: label(40),
    hoursAllowed: number()
      .strict()
      .required()
      .moreThan(0, '${path} is more than 0 h')
      .max(24, '${path} is at most 24 h'),
  })
    .exact()
    .optional()
    .default(undefined),
  hoursOut: number().strict().optional().min(0, '${path} is 0 h or more').max(1000, '${path} is at most 1000 h'),
}).exact('${properties} does not belong on a ticket')

const beadSchema = object({
  id: key(),
  offsetMm: millimetres().required(),
  widthMm: millimetres().required().min(1, '${path} is at least 1 mm').max(60, '${path} is at most 60 mm'),
  fromMm: millimetres().required().min(0, '${path} lies off the plate'),
  toMm: millimetres().required(),
  passId: key().optional(),
  face: string<Face>().strict().optional().oneOf(['face', 'far side', 'root'], '${path} is face, far side or root'),
  arcSeconds: number()
    .strict()
    .optional()
    .moreThan(0, '${path} is more than 0 s')
    .max(3600, '${path} is at most 3600 s'),
  turned: object({ atMm: millimetres().required('${path} is missing'), currentA: amperes() })
    .exact('${properties} does not belong to a turn of the current')
    .optional()
    .default(undefined),
}).exact()

const place = { id: key(), beadId: key(), atMm: millimetres().required('${path} is missing') }

const tryMark = (kind: TryKind) =>
  object({
    ...place,
    kind: oneOf([kind], 'a mark'),
    degree: degree(),
    fault: string()
      .strict()
      .nullable()
      .defined()
      .oneOf([null, ...FAULTS[kind]], `\${path} is not a fault of a ${kind}`),
    rod: oneOf(['new', 'stub'] as const, 'a kind of rod'),
  }).exact()

const flawMark = across(
  object({
    ...place,
    kind: oneOf(['flaw'] as const, 'a mark'),
    flaw: oneOf(
      DISCONTINUITIES.map(row => row.id),
      'a discontinuity',
    ),
    toMm: millimetres().required(),
    side: string()
      .strict()
      .nullable()
      .defined()
      .oneOf([null, 'upper', 'lower', 'both'], '${path} is upper, lower or both'),
    severity: number().strict().required().oneOf([1, 2, 3], '${path} is 1, 2 or 3'),
    sizeMm: millimetres()
      .nullable()
      .defined()
      .min(0, '${path} is not less than 0')
      .max(100, '${path} is at most 100 mm'),
    form: string().strict().optional(),
    found: string().strict().optional().oneOf(['bend'], '${path} is bend'),
  }).exact(),
  ({ flaw, form }) =>
    form === undefined || DISCONTINUITIES.some(row => row.id === flaw && row.forms?.some(one => one.id === form))
      ? null
      : { path: 'form', message: 'form is no kind of this discontinuity' },
)

const readingMark = object({
  ...place,
  kind: oneOf(['reading'] as const, 'a mark'),
  of: oneOf(GAUGE_KINDS, 'a reading'),
  valueMm: millimetres()
    .required()
    .moreThan(0, '${path} is more than 0')
    .when('of', {
      is: 'edge to toe',
      then: most => most.max(1000, '${path} is at most 1000 mm'),
      otherwise: most => most.max(60, '${path} is at most 60 mm'),
    }),
}).exact()

const MARK_SCHEMAS: Readonly<Record<Mark['kind'], Schema>> = {
  'start': tryMark('start'),
  'restart': tryMark('restart'),
  'tie-in': tryMark('tie-in'),
  'end': tryMark('end'),
  'flaw': flawMark,
  'reading': readingMark,
}

const markSchema = choice<Mark>('kind', MARK_SCHEMAS, '${path} is no mark that is kept')

const NO_CAUSE = '${path} is no cause that is kept'
const CAUSE_IDS: readonly string[] = CAUSES.map(cause => cause.id)
const causeId = () => string().strict().optional().oneOf(CAUSE_IDS, NO_CAUSE)

/** Answers by sign: only signs that can be asked about. */
const answersSchema = object(
  each(
    SIGNS.filter(sign => sign.ask !== null).map(({ id }) => id as string),
    () => string().strict().optional().oneOf(['yes', 'no'], '${path} is yes or no') as Schema<'yes' | 'no'>,
  ),
)
  .exact('${properties} is nothing that is asked')
  .default(undefined)
  .optional()

/**
 * The coupon document as it crosses the wire. Besides the shape it checks that everything lies where it can:
 * a piece that can be welded so, beads on it and of a pass it has, marks on their bead, spans the right way round,
 * ids used once.
 */
export const couponSchema = object({
  schema: number<1>().strict().required().oneOf([1], '${path} is version 1'),
  studentId: uuid().required('${path} is missing'),
  classDay: day().required('${path} is missing'),
  rulesVersion: number().strict().required().integer().min(1),
  mock: boolean().strict().required(),
  piece: pieceSchema,
  ticket: ticketSchema.required(),
  passes: capped(passesSchema, MOST_PASSES, `A joint has at most ${MOST_PASSES} passes`),
  fitUp: fitUpSchema,
  beads: list(
    beadSchema.required(),
    MOST_BEADS,
    `A coupon has at most ${MOST_BEADS} beads`,
    'A coupon has at least one bead',
  ),
  marks: longList(markSchema, MOST_MARKS, `A coupon has at most ${MOST_MARKS} marks`),
  cleanUp: degree(),
  notes: string().strict().defined().max(MOST_NOTES, `\${path} is at most ${MOST_NOTES} characters`),
  advised: string().strict().optional().max(400, '${path} is at most 400 characters'),
  answers: answersSchema,
  trueCause: causeId(),
  advisedCause: causeId(),
  toldBefore: object({
    couponId: uuid().required('${path} is missing'),
    says: string().strict().defined().max(400, '${path} is at most 400 characters'),
    cause: string()
      .strict()
      .nullable()
      .defined()
      .oneOf([...CAUSE_IDS, null], NO_CAUSE),
    done: string().strict().nullable().defined().oneOf(['yes', 'no', null], '${path} is yes, no or nothing') as Schema<
      'yes' | 'no' | null
    >,
  })
    .exact('${properties} does not belong to what was told')
    .default(undefined)
    .optional(),
  nextRun: string().strict().nullable().defined().max(400, '${path} is at most 400 characters'),
  overrule: object({ verdict: verdict(), reason: label(400) })
    .nullable()
    .defined(),
})
  .exact('${properties} does not belong on a coupon')
  .test('geometry', '', function (value) {
    const document = value as unknown as CouponDocument
    const wrong = isWhole(document) ? (misfit(document) ?? misplaced(document)) : null
    return wrong
      ? this.createError({ message: wrong.message, path: this.path ? `${this.path}.${wrong.path}` : wrong.path })
      : true
  })

interface Wrong {
  path: string
  message: string
}

/** A piece, position, rod and passes that do not go together. */
function misfit(document: CouponDocument): Wrong | null {
  const [first] = refusals(document)
  if (first)
    return {
      path: first.field === 'piece' || first.field === 'passes' ? first.field : `ticket.${first.field}`,
      message: first.why,
    }
  const { piece, passes, beads } = document
  if (isPlate(piece)) return passes ? { path: 'passes', message: 'A plate has no passes' } : null
  if (!passes) return { path: 'passes', message: 'A joint has passes' }
  const ids = new Set(passes.map(pass => pass.id))
  if (ids.size < passes.length) return { path: 'passes', message: 'Two passes have the same id' }
  const stray = beads.findIndex(bead => !bead.passId || !ids.has(bead.passId))
  return stray < 0 ? null : { path: `beads[${stray}].passId`, message: 'This bead is of no pass of the joint' }
}

/** Whether what the checks across fields look at is there; what is missing has its own message. */
const isWhole = ({ piece, ticket, passes, beads, marks }: CouponDocument): boolean =>
  pieceSchema.isValidSync(piece) &&
  ticketSchema.isValidSync(ticket) &&
  (passes?.length ?? 0) <= MOST_PASSES &&
  passesSchema.isValidSync(passes) &&
  Array.isArray(beads) &&
  beads.length <= MOST_BEADS &&
  Array.isArray(marks) &&
  marks.length <= MOST_MARKS

function misplaced(document: CouponDocument): Wrong | null {
  const { beads, marks, piece } = document
  const strip = stripOf(piece)
  const what = strip.round ? 'pipe' : isPlate(piece) ? 'plate' : 'piece'
  const lanes = new Map(beads.map(bead => [bead.id, bead]))
  if (lanes.size < beads.length) return { path: 'beads', message: 'Two beads have the same id' }
  for (const [index, bead] of beads.entries()) {
    const path = `beads[${index}]`
    if (bead.toMm <= bead.fromMm) return { path: `${path}.toMm`, message: `Bead ${index + 1} ends before it begins` }
    if (over(bead.toMm, strip.lengthMm))
      return {
        path: `${path}.toMm`,
        message: `Bead ${index + 1} runs off the ${what}, which is ${sizeOf(strip.lengthMm)} mm ${strip.round ? 'round' : 'long'}`,
      }
    if (bead.offsetMm < 0 || bead.offsetMm > strip.widthMm)
      return {
        path: `${path}.offsetMm`,
        message: `Bead ${index + 1} lies beside the ${what}, which is ${sizeOf(strip.widthMm)} mm wide`,
      }
  }
  const astray = beads.findIndex(({ fromMm, toMm, turned }) => turned && (turned.atMm <= fromMm || turned.atMm >= toMm))
  if (astray >= 0)
    return {
      path: `beads[${astray}].turned.atMm`,
      message: `The current was turned on the way: between ${beads[astray]!.fromMm} and ${beads[astray]!.toMm} mm`,
    }
  const ids = new Set<string>()
  for (const [index, mark] of marks.entries()) {
    const path = `marks[${index}]`
    if (!mark || typeof mark.id !== 'string') continue
    if (ids.has(mark.id)) return { path: `${path}.id`, message: 'Two marks have the same id' }
    ids.add(mark.id)
    const bead = lanes.get(mark.beadId)
    if (!bead) return { path: `${path}.beadId`, message: 'This mark is on no bead of the coupon' }
    if (under(mark.atMm, bead.fromMm) || over(mark.atMm, bead.toMm))
      return {
        path: `${path}.atMm`,
        message: `${mark.atMm} mm is not on its bead, which runs from ${bead.fromMm} to ${bead.toMm} mm`,
      }
    if (mark.kind !== 'flaw') continue
    const { on, name } = DISCONTINUITIES.find(row => row.id === mark.flaw) ?? { on: 'both', name: '' }
    if (on !== 'both' && (bead.face === 'root') !== (on === 'root'))
      return { path: `${path}.flaw`, message: `${name} is read on the ${on === 'root' ? 'root side' : 'face'}` }
    if (under(mark.toMm, mark.atMm))
      return { path: `${path}.toMm`, message: 'The span is turned round: it ends before it begins' }
    if (over(mark.toMm, bead.toMm))
      return { path: `${path}.toMm`, message: `The span runs past the end of its bead at ${bead.toMm} mm` }
  }
  return null
}

/** A size in a message: to a tenth, and no more places than it needs. */
const sizeOf = (mm: number) => Math.round(mm * 10) / 10

/** The body of `PUT /api/coupons/:id`. `baseVersion` is the version that was edited, 0 for a new coupon. */
export const couponSaveSchema = object({
  baseVersion: number().strict().required('${path} is missing').integer().min(0),
  why: string().strict().defined().max(400, '${path} is at most 400 characters'),
  document: couponSchema.required('${path} is missing'),
}).exact()

export interface CouponSave {
  readonly baseVersion: number
  readonly why: string
  readonly document: CouponDocument
}

/** A coupon as the server keeps it. */
export interface SavedCoupon {
  readonly id: string
  readonly version: number
  readonly document: CouponDocument
  readonly savedAt: string
  readonly savedBy: string
}

/** An earlier save of a coupon. */
export interface CouponRevision {
  readonly version: number
  readonly document: CouponDocument
  readonly savedAt: string
  readonly savedBy: string
  /** Why the next save replaced it. */
  readonly why: string
}
