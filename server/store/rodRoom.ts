import type { ClassDay } from '../../core/calendar'
import {
  bookLine,
  exposureOf,
  handfulsOf,
  hoursAllowed,
  isPast,
  movementFault,
  type MovementKind,
  type RodLot,
  type RodMovement,
  type SaidOfRods,
  type Stubs,
} from '../../core/rodRoom'
import {
  BOOK_WEEKS,
  type OvenReading,
  type OvenReadingSave,
  type RodLotSave,
  type RodLotsImport,
  type RodRoom,
} from '../../contract/rodRoom'
import { database, fromJson, inTransaction, rows, run, toDateTime, toIso, type Queries } from './database'
import { noteEverySection } from './floorSerial'
import { takeGuard } from './guard'
import { currentRules } from './houseRules'
import { schoolDay } from './school'

/** Who writes into the book, and when. */
interface Doer {
  readonly name: string
  readonly now: Date
}

interface LotRow {
  id: string
  classification: string
  diameter_mm: string
  makers_lot: string
  resistant: number
  received_on: string
  opened_on: string | null
  rods_in_box: number
  box_price_cents: number | null
  place: string
}

const toLot = (row: LotRow): RodLot => ({
  id: row.id,
  classification: row.classification,
  diameterMm: Number(row.diameter_mm),
  makersLot: row.makers_lot,
  resistant: row.resistant === 1,
  receivedOn: row.received_on,
  openedOn: row.opened_on,
  rodsInBox: row.rods_in_box,
  boxPriceCents: row.box_price_cents,
  place: row.place,
})

interface LineRow {
  id: string
  lot_id: string
  kind: MovementKind
  rods: number
  handful_id: string | null
  student_id: string | null
  booth: number | null
  stubs: unknown
  why: string
  noted_by: string
  noted_at: string
}

const toLine = (row: LineRow): RodMovement => ({
  id: row.id,
  lotId: row.lot_id,
  kind: row.kind,
  rods: row.rods,
  ...(row.handful_id === null ? {} : { handfulId: row.handful_id }),
  ...(row.student_id === null ? {} : { studentId: row.student_id }),
  ...(row.booth === null ? {} : { booth: row.booth }),
  ...(row.stubs === null ? {} : { stubs: fromJson<Stubs>(row.stubs) }),
  why: row.why,
  at: toIso(row.noted_at),
  by: row.noted_by,
})

/** Rods drawn longer ago and never brought back are forgotten in a corner: no booth is told of them for ever. */
const DRAWN_DAYS = 2

const LOT = `id, classification, diameter_mm, makers_lot, resistant, received_on, opened_on, rods_in_box,
  box_price_cents, place`
const LINE = `id, lot_id, kind, rods, handful_id, student_id, booth, stubs, why, noted_by, noted_at`

/** What lies in the store, by class and size of rod. */
export const rodsInStore = async (): Promise<(Pick<RodLot, 'classification' | 'diameterMm'> & { rods: number })[]> =>
  (
    await rows<{ classification: string; diameter_mm: string; rods: string | number }>(
      database(),
      `SELECT classification, diameter_mm, SUM(rods) AS rods
      FROM rod_lot JOIN rod_movement ON lot_id = rod_lot.id GROUP BY classification, diameter_mm`,
    )
  ).map(row => ({
    classification: row.classification,
    diameterMm: Number(row.diameter_mm),
    rods: Math.max(0, Number(row.rods)),
  }))

/** The rod room as a screen is given it. @param taught sections whose students may be named; null for all */
export async function findRodRoom(taught: readonly string[] | null, now: Date): Promise<RodRoom> {
  const [lots, stock, lines, ovens, students] = await Promise.all([
    rows<LotRow>(database(), `SELECT ${LOT} FROM rod_lot ORDER BY classification, diameter_mm, received_on, id`),
    rows<{ lot_id: string; rods: number }>(
      database(),
      'SELECT lot_id, CAST(SUM(rods) AS INT) AS rods FROM rod_movement GROUP BY lot_id',
    ),
    rows<LineRow>(
      database(),
      `SELECT ${LINE} FROM rod_movement WHERE noted_at > UTC_TIMESTAMP() - INTERVAL ${BOOK_WEEKS} WEEK
      ORDER BY noted_at, id`,
    ),
    rows<{ oven: string; celsius: string; door_open: number; read_by: string; read_at: string }>(
      database(),
      `SELECT oven, celsius, door_open, read_by, read_at FROM oven_reading AS reading
      WHERE id = (SELECT newest.id FROM oven_reading AS newest WHERE newest.oven = reading.oven
        ORDER BY newest.read_at DESC, newest.id DESC LIMIT 1)
      ORDER BY oven`,
    ),
    rows<{ id: string; name: string; section_id: string }>(
      database(),
      `SELECT id, name, section_id FROM student WHERE id IN
        (SELECT student_id FROM rod_movement WHERE noted_at > UTC_TIMESTAMP() - INTERVAL ${BOOK_WEEKS} WEEK)`,
    ),
  ])
  const names = new Map(
    students.filter(row => !taught || taught.includes(row.section_id)).map(row => [row.id, row.name] as const),
  )
  return {
    now: now.toISOString(),
    lots: lots.map(toLot),
    stock: Object.fromEntries(stock.map(row => [row.lot_id, Number(row.rods)])),
    movements: lines
      .map(toLine)
      .map(({ studentId, ...line }) => (studentId && names.has(studentId) ? { ...line, studentId } : line)),
    names: Object.fromEntries(names),
    ovens: ovens.map(toReading),
  }
}

const toReading = (row: {
  oven: string
  celsius: string
  door_open: number
  read_by: string
  read_at: string
}): OvenReading => ({
  oven: row.oven,
  celsius: Number(row.celsius),
  doorOpen: row.door_open === 1,
  by: row.read_by,
  at: toIso(row.read_at),
})

/** Keeps a lot, new or changed. */
export const keepLot = (id: string, lot: RodLotSave, by: Doer): Promise<void> => writeLot(database(), id, lot, by)

async function writeLot(on: Queries, id: string, lot: RodLotSave, by: Doer): Promise<void> {
  await run(
    on,
    `INSERT INTO rod_lot (${LOT}, saved_by, saved_at) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
    ON DUPLICATE KEY UPDATE classification = VALUES(classification), diameter_mm = VALUES(diameter_mm),
      makers_lot = VALUES(makers_lot), resistant = VALUES(resistant), received_on = VALUES(received_on),
      opened_on = VALUES(opened_on), rods_in_box = VALUES(rods_in_box),
      box_price_cents = VALUES(box_price_cents), place = VALUES(place),
      saved_by = VALUES(saved_by), saved_at = VALUES(saved_at)`,
    [
      id,
      lot.classification,
      lot.diameterMm,
      lot.makersLot,
      lot.resistant,
      lot.receivedOn,
      lot.openedOn,
      lot.rodsInBox,
      lot.boxPriceCents,
      lot.place,
      by.name,
      toDateTime(by.now),
    ],
  )
}

/**
 * Takes in lots with the rods that lie there, all of them or none: new ones as they came, those that are kept already
 * as they were counted. The same again is the same lots and counts.
 */
export async function importLots({ lots }: RodLotsImport, by: Doer): Promise<void> {
  await inTransaction(database(), async on => {
    for (const { id, lineId, lot, rods: count, counted } of lots) {
      await writeLot(on, id, lot, by)
      if (counted) await takeGuard(on, `lot ${id}`)
      const [known] = await rows(on, 'SELECT 1 FROM rod_movement WHERE id = ? FOR UPDATE', [lineId])
      if (known) continue
      const book = counted ? await bookOf(on, id) : []
      const nobody = { handfulId: null, studentId: null, booth: null, stubs: null }
      const said = { ...nobody, lotId: id, kind: counted ? 'counted' : 'received', count, why: 'from a list' } as const
      const line = bookLine(lineId, said, book, { by: by.name, now: by.now })
      if (line.rods !== 0) await insertLine(on, line, by)
    }
    await noteEverySection(on)
  })
}

/** All lines of a lot. */
const bookOf = async (on: Queries, lotId: string): Promise<RodMovement[]> =>
  (await rows<LineRow>(on, `SELECT ${LINE} FROM rod_movement WHERE lot_id = ?`, [lotId])).map(toLine)

/** What came of a line: it stands, or why it cannot. */
export type Written =
  { readonly is: 'written'; readonly stock: number } | { readonly is: 'refused'; readonly why: string }

/**
 * Writes a line into the book. The same again is one line. What hangs on the lines before (a handful that is back, a
 * count) is looked at under the lot's guard, so that two tablets at once never count one rod twice.
 * @returns null where there is no such lot
 */
export async function writeMovement(id: string, save: SaidOfRods, by: Doer): Promise<Written | null> {
  const [{ rules }, day] = await Promise.all([currentRules(), schoolDay(by.now)])
  return inTransaction(database(), async on => {
    const [row] = await rows<LotRow>(on, `SELECT ${LOT} FROM rod_lot WHERE id = ?`, [save.lotId])
    if (!row) return null
    await takeGuard(on, `lot ${save.lotId}`)
    const book = await bookOf(on, save.lotId)
    const stock = book.reduce((sum, line) => sum + line.rods, 0)
    if (book.some(line => line.id === id)) return { is: 'written', stock }
    const line = bookLine(id, save, book, { by: by.name, now: by.now })
    const why = movementFault(line, toLot(row), book, { houseHours: rules.exposureHours, now: by.now })
    if (why) return { is: 'refused', why }
    await insertLine(on, line, by)
    if (line.kind === 'issued' && row.opened_on === null) await openLot(on, save.lotId, day)
    await noteEverySection(on)
    return { is: 'written', stock: stock + line.rods }
  })
}

/** Whoever draws from a lot whose boxes are all sealed opens the first of them. */
const openLot = (on: Queries, id: string, day: ClassDay) =>
  run(on, 'UPDATE rod_lot SET opened_on = GREATEST(received_on, ?) WHERE id = ? AND opened_on IS NULL', [day, id])

async function insertLine(on: Queries, line: RodMovement, by: Doer): Promise<void> {
  await run(on, `INSERT INTO rod_movement (${LINE}) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`, [
    line.id,
    line.lotId,
    line.kind,
    line.rods,
    line.handfulId ?? null,
    line.studentId ?? null,
    line.booth ?? null,
    line.stubs ? JSON.stringify(line.stubs) : null,
    line.why,
    by.name,
    toDateTime(by.now),
  ])
}

/** Notes how an oven is; the same again is one reading. */
export async function noteOven(id: string, { oven, celsius, doorOpen }: OvenReadingSave, by: Doer): Promise<void> {
  await run(
    database(),
    `INSERT INTO oven_reading (id, oven, celsius, door_open, read_by, read_at) VALUES (?, ?, ?, ?, ?, ?)
    ON DUPLICATE KEY UPDATE id = id`,
    [id, oven, celsius, doorOpen, by.name, toDateTime(by.now)],
  )
}

/** Students who have rods in the hand that are past their hours, of those that were drawn in the last days. */
export async function rodsPast(now: Date): Promise<ReadonlySet<string>> {
  const drawn = await rows<{ id: string }>(
    database(),
    `SELECT DISTINCT COALESCE(handful_id, id) AS id FROM rod_movement
    WHERE kind = 'issued' AND noted_at > UTC_TIMESTAMP() - INTERVAL ${DRAWN_DAYS} DAY`,
  )
  if (drawn.length === 0) return new Set()
  const ids = drawn.map(row => row.id)
  const among = ids.map(() => '?').join(', ')
  const [{ rules }, lots, lines] = await Promise.all([
    currentRules(),
    rows<LotRow>(database(), `SELECT ${LOT} FROM rod_lot`),
    rows<LineRow>(database(), `SELECT ${LINE} FROM rod_movement WHERE id IN (${among}) OR handful_id IN (${among})`, [
      ...ids,
      ...ids,
    ]),
  ])
  const hours = new Map(lots.map(row => [row.id, hoursAllowed(toLot(row), rules.exposureHours)] as const))
  const late = handfulsOf(lines.map(toLine)).filter(({ lotId, out, events }) => {
    const allowed = hours.get(lotId)
    return out > 0 && allowed && isPast(exposureOf(events, allowed, now))
  })
  return new Set(late.flatMap(({ studentId }) => studentId ?? []))
}
