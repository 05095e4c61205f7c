import { subDays } from 'date-fns'
import {
  bookLine,
  bookUntil,
  countAfter,
  exposureOf,
  handfulsOf,
  hoursAllowed,
  isPast,
  movementFault,
  stockOf,
  type RodLot,
  type RodMovement,
  type SaidOfRods,
} from '../../core/rodRoom'
import type { OvenReading, OvenReadingSave, RodLotSave, RodLotsImport, RodRoom } from '../../contract/rodRoom'
import { database, inTransaction, rows, run, toDateTime, toIso, type Queries } from './database'
import { noteEverySection } from './floorSerial'
import { takeGuard } from './guard'
import { currentRules } from './houseRules'
import { bookOfLot, DRAWN_DAYS, insertLine, linesInHand, linesLatelyDrawn, namedTo, openLot } from './rodBook'
import { schoolClock } from './school'

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

const LOT = `id, classification, diameter_mm, makers_lot, resistant, received_on, opened_on, rods_in_box,
  box_price_cents, place`

/** What lies in the store, by class and size of rod. */
export const rodsInStore = async (): Promise<(Pick<RodLot, 'classification' | 'diameterMm'> & { rods: number })[]> =>
  (
    await rows<{ classification: string; diameter_mm: string; rods: string | number }>(
      database(),
      'SELECT classification, diameter_mm, SUM(rods) AS rods FROM rod_lot GROUP BY classification, diameter_mm',
    )
  ).map(row => ({
    classification: row.classification,
    diameterMm: Number(row.diameter_mm),
    rods: Math.max(0, Number(row.rods)),
  }))

/** Every lot, by class and size, the oldest first. */
export const allLots = async (): Promise<RodLot[]> =>
  (
    await rows<LotRow>(database(), `SELECT ${LOT} FROM rod_lot ORDER BY classification, diameter_mm, received_on, id`)
  ).map(toLot)

/** The rod room as a screen is given it. @param taught sections whose students may be named; null for all */
export async function findRodRoom(taught: readonly string[] | null, now: Date): Promise<RodRoom> {
  const [{ rules }, lots, stock, lines, ovens] = await Promise.all([
    currentRules(),
    allLots(),
    rows<{ lot_id: string; rods: number }>(database(), 'SELECT id AS lot_id, rods FROM rod_lot'),
    linesInHand(),
    rows<{ oven: string; celsius: string; door_open: number; read_by: string; read_at: string }>(
      database(),
      // The newest of each is found by its index alone, without the lines before.
      `SELECT reading.oven, celsius, door_open, read_by, reading.read_at FROM oven_reading AS reading
      JOIN (SELECT oven, MAX(read_at) AS read_at FROM oven_reading GROUP BY oven) AS newest
        ON newest.oven = reading.oven AND newest.read_at = reading.read_at
      GROUP BY reading.oven ORDER BY reading.oven`,
    ),
  ])
  return {
    now: now.toISOString(),
    lots,
    stock: Object.fromEntries(stock.map(row => [row.lot_id, Number(row.rods)])),
    ...(await namedTo(taught, stillTold(lines, lots, rules.exposureHours, now))),
    ovens: ovens.map(toReading),
  }
}

/** What came back and is as fresh again lies with the rest of its lot: nothing is told of it once it is days ago. */
function stillTold(lines: readonly RodMovement[], lots: readonly RodLot[], houseHours: number, now: Date) {
  const hours = new Map(lots.map(lot => [lot.id, hoursAllowed(lot, houseHours)] as const))
  const open = handfulsOf(lines).filter(({ lotId, out, events }) => {
    const allowed = hours.get(lotId)
    return out > 0 || (allowed && exposureOf(events, allowed, now).state !== 'fresh')
  })
  const ids = new Set(open.map(handful => handful.id))
  const lately = subDays(now, DRAWN_DAYS).toISOString()
  return lines.filter(line => line.at > lately || ids.has(line.handfulId ?? line.id))
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
      const book = counted ? await bookOfLot(on, id) : []
      const nobody = { handfulId: null, studentId: null, booth: null, stubs: null }
      const said = { ...nobody, lotId: id, kind: counted ? 'counted' : 'received', count, why: 'from a list' } as const
      const line = bookLine(lineId, said, book, { by: by.name, now: by.now, stock: stockOf(book).get(id) ?? 0 })
      if (line.rods !== 0) await insertLine(on, line)
    }
    await noteEverySection(on)
  })
}

/** What came of a line: it stands, or why it cannot. */
export type Written =
  { readonly is: 'written'; readonly stock: number } | { readonly is: 'refused'; readonly why: string }

/**
 * Writes a line into the book. The same again is one line. What hangs on the lines before (a handful that is back, a
 * count) is looked at under the lot's guard, so that two tablets at once never count one rod twice.
 * @returns null where there is no such lot
 */
export async function writeMovement(id: string, save: SaidOfRods, by: Doer): Promise<Written | null> {
  const [{ rules }, clock] = await Promise.all([currentRules(), schoolClock()])
  return inTransaction(database(), async on => {
    const [row] = await rows<LotRow>(on, `SELECT ${LOT} FROM rod_lot WHERE id = ?`, [save.lotId])
    if (!row) return null
    await takeGuard(on, `lot ${save.lotId}`)
    const book = await bookOfLot(on, save.lotId)
    const stock = stockOf(book).get(save.lotId) ?? 0
    if (book.some(line => line.id === id)) return { is: 'written', stock }
    const then = stockOf(bookUntil(book, by.now.toISOString())).get(save.lotId) ?? 0
    const line = bookLine(id, save, book, { by: by.name, now: by.now, stock: then })
    const why = movementFault(line, toLot(row), book, { houseHours: rules.exposureHours, now: by.now })
    if (why) return { is: 'refused', why }
    await insertLine(on, line)
    await openLot(on, line, clock)
    await noteEverySection(on)
    return { is: 'written', stock: countAfter(book, line) ? stock : stock + line.rods }
  })
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
  const [{ rules }, lots, lines] = await Promise.all([currentRules(), allLots(), linesLatelyDrawn()])
  const hours = new Map(lots.map(lot => [lot.id, hoursAllowed(lot, rules.exposureHours)] as const))
  const late = handfulsOf(lines).filter(({ lotId, out, events }) => {
    const allowed = hours.get(lotId)
    return out > 0 && allowed && isPast(exposureOf(events, allowed, now))
  })
  return new Set(late.flatMap(({ studentId }) => studentId ?? []))
}
