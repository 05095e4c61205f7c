import { boolean, number, object } from 'yup'
import {
  MOVEMENT_KINDS,
  STUB_CLASSES,
  type ComingUse,
  type CouponsRun,
  type MovementKind,
  type RodLot,
  type RodMovement,
  type SaidOfRods,
  type StubClass,
} from '../core/rodRoom'
import { ELECTRODES, isMade, notMade, ROD_SIZES } from '../core/trade'
import { across, boothNumber, day, label, list, longList, moment, oneOf, typed, uuid, wholeNumber } from './fields'

/** The body of `PUT /api/rod-lots/:id`. */
export type RodLotSave = Omit<RodLot, 'id'>

const MOST_IN_BOX = 2000
const MOST_CENTS = 1_000_000
const MOST_RODS = 5000

const RODS = ELECTRODES.filter(row => row.family !== 'GTAW wire').map(row => row.classification)

export const rodLotSchema = across(
  object({
    classification: oneOf(RODS, 'a rod'),
    diameterMm: number()
      .strict()
      .required('${path} is missing')
      .test(
        'size',
        `\${path} is no rod size that is kept; choose from ${ROD_SIZES.map(size => size.label).join(', ')}`,
        value => ROD_SIZES.some(size => Math.abs(size.diameterMm - (value ?? 0)) < 0.01),
      ),
    makersLot: label(40),
    resistant: boolean().strict().required('${path} is missing'),
    receivedOn: day().required('${path} is missing'),
    openedOn: day().nullable().defined('${path} is missing'),
    rodsInBox: wholeNumber('how many rods a box holds', 1, MOST_IN_BOX).required('${path} is missing'),
    boxPriceCents: wholeNumber('what a box costs, in hundredths', 0, MOST_CENTS)
      .nullable()
      .defined('${path} is missing'),
    place: label(60),
  }).exact(),
  ({ classification, diameterMm, openedOn, receivedOn }) => {
    if (!isMade(classification, diameterMm)) return { path: 'diameterMm', message: notMade(classification, diameterMm) }
    return openedOn !== null && openedOn < receivedOn
      ? { path: 'openedOn', message: 'A lot is opened on the day it came, or later' }
      : null
  },
)

/** Most lots that come in at a time. */
const MOST_LOTS = 500

/** The body of `POST /api/rod-lots/import`: lots with what lies there, all of them or none. */
export interface RodLotsImport {
  readonly lots: readonly {
    readonly id: string
    /** Of the line in the book that says how many rods lie there. */
    readonly lineId: string
    readonly lot: RodLotSave
    readonly rods: number
    /** The lot is kept already: the list says how many of it were counted. */
    readonly counted: boolean
  }[]
}

export const rodLotsImportSchema = object({
  lots: list(
    object({
      id: uuid().required('${path} is missing'),
      lineId: uuid().required('${path} is missing'),
      lot: rodLotSchema.required('${path} is missing'),
      rods: wholeNumber('how many rods lie there', 0, MOST_RODS).required('${path} is missing'),
      counted: boolean().strict().required('${path} is missing'),
    })
      .exact()
      .required('${path} is missing'),
    MOST_LOTS,
    `At most ${MOST_LOTS} lots at a time`,
    'There is no lot on it',
  ),
}).exact()

/** What must be said why: a count that moves the stock, and rods that go to the bin. */
const WANTS_WHY: readonly MovementKind[] = ['binned', 'counted']
/** What can only happen to a handful. */
const OF_HANDFUL: readonly MovementKind[] = ['returned', 're-dried']

const stubs = object(
  Object.fromEntries(
    STUB_CLASSES.map(({ id }) => [id, wholeNumber('how many stubs', 0, MOST_RODS).optional()]),
  ) as Record<StubClass, ReturnType<typeof wholeNumber>>,
)
  .exact()
  .nullable()
  .defined('${path} is missing')
  .default(undefined)

const said = {
  lotId: uuid().required('${path} is missing'),
  kind: oneOf(MOVEMENT_KINDS, 'something that happens to rods'),
  count: wholeNumber('how many rods', 0, MOST_RODS).required('${path} is missing'),
  handfulId: uuid().nullable().defined('${path} is missing'),
  studentId: uuid().nullable().defined('${path} is missing'),
  booth: boothNumber().nullable().defined('${path} is missing'),
  stubs,
  why: typed().defined('${path} is missing').max(200, '${path} is at most 200 characters'),
}

/** What does not go together of what happened to rods. */
function saidFault({ kind, count, handfulId, why }: Pick<SaidOfRods, 'kind' | 'count' | 'handfulId' | 'why'>) {
  const taken = kind === 'received' || (kind === 'issued' && handfulId === null)
  if (taken && count === 0) return { path: 'count', message: 'count is 1 or more' }
  if (OF_HANDFUL.includes(kind) && handfulId === null) return { path: 'handfulId', message: 'Say which handful' }
  return WANTS_WHY.includes(kind) && why === '' ? { path: 'why', message: 'Say why: it is kept with the count' } : null
}

/** The body of `PUT /api/rod-movements/:id`: what a person says happened to rods (`SaidOfRods`). */
export const rodMovementSchema = across(object(said).exact(), saidFault)

/** Lines that a list may have at most. */
const MOST_LISTED = 500

/** The body of `POST /api/rod-movements/import`: lines of the book, each as of when it happened; all, or none. */
export interface RodBookImport {
  readonly lines: readonly BookLineListed[]
}
export interface BookLineListed extends SaidOfRods {
  readonly id: string
  /** When it happened, ISO 8601 in UTC. */
  readonly at: string
}

const listed = across(
  object({
    ...said,
    id: uuid().required('${path} is missing'),
    at: moment().required('${path} is missing'),
  })
    .exact()
    .required('${path} is missing'),
  saidFault,
)

export const rodBookImportSchema = object({
  lines: longList(listed as never, MOST_LISTED, `At most ${MOST_LISTED} lines at a time`),
}).exact()

/** The body of `PUT /api/oven-readings/:id`. */
export interface OvenReadingSave {
  readonly oven: string
  readonly celsius: number
  readonly doorOpen: boolean
}
export const ovenReadingSchema = object({
  oven: label(40),
  celsius: number()
    .strict()
    .required('${path} is missing')
    .min(-20, '${path} is from -20 to 500 °C')
    .max(500, '${path} is from -20 to 500 °C'),
  doorOpen: boolean().strict().required('${path} is missing'),
}).exact()

/** How an oven was when it was last read. */
export interface OvenReading extends OvenReadingSave {
  readonly by: string
  /** ISO 8601. */
  readonly at: string
}

/** What `GET /api/rods` answers. Lines of another's section say no name. */
export interface RodRoom {
  /** The server's own moment, ISO 8601: a tablet's clock may be wrong, and a rod's may not. */
  readonly now: string
  readonly lots: readonly RodLot[]
  readonly stock: Readonly<Record<string, number>>
  /** Lines of the last days, and all lines of what is out or lies apart in the oven, the oldest first. */
  readonly movements: readonly RodMovement[]
  /** Names of the students in them, by id. */
  readonly names: Readonly<Record<string, string>>
  /** The newest reading of each oven. */
  readonly ovens: readonly OvenReading[]
}

/** What `GET /api/rods/used` answers: the book of the last weeks, and the coupons that were run. */
export interface RodsUsed extends Pick<RodRoom, 'movements' | 'names'> {
  readonly runs: readonly CouponsRun[]
  /** The section of each student who is named, by its name. */
  readonly sections: Readonly<Record<string, string>>
}

/** What `GET /api/rods/ahead` answers: what the school will use of each kind, for as long as its rods are to last. */
export type RodsAhead = readonly ({ readonly kind: string } & ComingUse)[]

/** Weeks of the book that what was used is reckoned from. */
export const BOOK_WEEKS = 10
