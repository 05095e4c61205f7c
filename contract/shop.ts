import { boolean, object } from 'yup'
import {
  FIXTURE_KINDS,
  MOST_COLUMNS,
  MOST_ROOMS,
  MOST_ROWS,
  PLATE_LIES,
  planFaults,
  type Fixture,
  type ShopPlan,
  type ShopRoom,
} from '../core/floor'
import { MOST_OFFSET_A, offsetOf, type ClampReading } from '../core/setup'
import type { PadPosition } from '../core/trade'
import { across, boothNumber, label, list, oneOf, wholeNumber } from './fields'

/** The shop as it is laid out; version 0 and no plan before anybody has. */
export interface ShopVersion {
  readonly version: number
  readonly plan: ShopPlan | null
  readonly saved: { readonly at: string; readonly by: string } | null
}

/** The body of `PUT /api/shop`. */
export interface ShopSave {
  readonly baseVersion: number
  readonly plan: ShopPlan
}

const whole = (what: string, low: number, high: number) => wholeNumber(what, low, high).required('${path} is missing')

const fixture = object({
  kind: oneOf(FIXTURE_KINDS, 'a thing of a shop'),
  booth: boothNumber().nullable().defined('${path} is missing: null for all but a booth'),
  column: whole('a column of the room', 0, MOST_COLUMNS - 1),
  row: whole('a row of the room', 0, MOST_ROWS - 1),
  means: object({
    lies: list<PadPosition>(oneOf(PLATE_LIES, 'a way a plate lies') as never, PLATE_LIES.length, 'At most four lies'),
    pipeStand: boolean().strict().required('${path} is missing'),
    ac: boolean().strict().required('${path} is missing'),
    mostA: whole('the most that the machine gives, A', 1, 1000).nullable(),
  })
    .exact()
    .default(undefined)
    .notRequired(),
}).exact()

const room = object({
  name: label(40),
  columns: whole('how many columns the room has', 1, MOST_COLUMNS),
  rows: whole('how many rows the room has', 1, MOST_ROWS),
  fixtures: list<Fixture>(
    fixture as never,
    MOST_COLUMNS * MOST_ROWS,
    `A room holds at most ${MOST_COLUMNS * MOST_ROWS} things`,
  ),
}).exact()

const plan = object({
  rooms: list<ShopRoom>(room as never, MOST_ROOMS, `At most ${MOST_ROOMS} rooms`, 'A shop has a room'),
}).exact()

export const shopSaveSchema = across(
  object({
    baseVersion: whole('the version it was edited from', 0, 1_000_000),
    plan: plan.required('${path} is missing'),
  }).exact(),
  save => planFaults(save.plan as ShopPlan)[0],
)

/** The body of `PUT /api/booth-faults/:id`: a booth is out of service. */
export interface BoothFaultSave {
  readonly booth: number
  readonly says: string
}
export const boothFaultSchema = object({
  booth: boothNumber().required('${path} is missing'),
  says: label(120).label('What is wrong'),
}).exact()

/** A booth that is out of service. */
export interface BoothFault extends BoothFaultSave {
  readonly id: string
  readonly by: string
  /** When it was noted, ISO 8601. */
  readonly at: string
}

/** The body of `PUT /api/clamp-readings/:id`: what a clamp meter read beside a booth's panel, A. */
export interface ClampReadingSave extends ClampReading {
  readonly booth: number
}

const onAMeter = (what: string) => whole(what, 10, 600)

export const clampReadingSchema = across(
  object({
    booth: boothNumber().required('${path} is missing'),
    panelA: onAMeter('what the panel says, A'),
    clampA: onAMeter('what the clamp meter reads, A'),
  }).exact(),
  reading => {
    const offsetA = Math.abs(offsetOf(reading))
    return offsetA <= MOST_OFFSET_A
      ? null
      : { path: 'clampA', message: `${offsetA} A apart: read it again, or take the machine out of service` }
  },
)

/** What a clamp meter last read at a booth's machine. */
export interface MachineCheck extends ClampReadingSave {
  readonly by: string
  /** When, ISO 8601. */
  readonly at: string
}

/** How a class stands in its booths. */
export interface FloorBooths {
  readonly faults: readonly BoothFault[]
  /** The machines that a clamp meter was held to, each with its newest reading, by booth. */
  readonly machines: readonly MachineCheck[]
  readonly students: readonly {
    readonly id: string
    readonly here: boolean
    /** Coupons read today, and minutes at the arc that they took. */
    readonly coupons: number
    readonly arcMinutes: number
    /** Rods in the hand are past their hours. */
    readonly rodsPast: boolean
  }[]
}
