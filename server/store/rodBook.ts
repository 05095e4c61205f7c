import { classDayAt, type SchoolClock } from '../../core/calendar'
import type { MovementKind, RodMovement, Stubs } from '../../core/rodRoom'
import { BOOK_WEEKS, type RodsUsed } from '../../contract/rodRoom'
import { couponsRun } from './couponsRun'
import { database, fromJson, rows, run, toDateTime, toIso, type Queries } from './database'
import { within } from './within'

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
export const DRAWN_DAYS = 2

const LINE = `id, lot_id, kind, rods, handful_id, student_id, booth, stubs, why, noted_by, noted_at`

/** Lines of the book that a condition holds for, the oldest first. */
const linesWhere = async (
  condition: string,
  values: readonly string[] = [],
  on: Queries = database(),
): Promise<RodMovement[]> =>
  (await rows<LineRow>(on, `SELECT ${LINE} FROM rod_movement WHERE ${condition} ORDER BY noted_at, id`, values)).map(
    toLine,
  )

/** All lines of a lot. */
export const bookOfLot = (on: Queries, lotId: string) => linesWhere('lot_id = ?', [lotId], on)

/** The book of the last weeks. */
export const bookOfWeeks = () => linesWhere(`noted_at > UTC_TIMESTAMP() - INTERVAL ${BOOK_WEEKS} WEEK`)

const marks = (ids: readonly string[]) => ids.map(() => '?').join(', ')

/** Rods drawn in the last days, with all that became of them. */
export async function linesLatelyDrawn(): Promise<RodMovement[]> {
  const ids = await idsOf(`SELECT DISTINCT COALESCE(handful_id, id) AS id FROM rod_movement
    WHERE kind = 'issued' AND noted_at > UTC_TIMESTAMP() - INTERVAL ${DRAWN_DAYS} DAY`)
  return ids.length === 0 ? [] : linesWhere(`id IN (${marks(ids)}) OR handful_id IN (${marks(ids)})`, [...ids, ...ids])
}

/**
 * What a screen is told as it happens: the lines of the last days, and all that is out or lies apart in the
 * oven. What was binned, or came back without a rod, is over.
 */
export async function linesInHand(): Promise<RodMovement[]> {
  const ids = await idsOf(`SELECT id FROM rod_movement AS drawn
    WHERE kind = 'issued' AND handful_id IS NULL AND noted_at > UTC_TIMESTAMP() - INTERVAL ${BOOK_WEEKS} WEEK
      AND NOT EXISTS (SELECT 1 FROM rod_movement AS ended WHERE ended.handful_id = drawn.id
        AND (ended.kind = 'binned' OR (ended.kind = 'returned' AND ended.rods = 0)))`)
  const lately = `noted_at > UTC_TIMESTAMP() - INTERVAL ${DRAWN_DAYS} DAY`
  return ids.length === 0
    ? linesWhere(lately)
    : linesWhere(`${lately} OR id IN (${marks(ids)}) OR handful_id IN (${marks(ids)})`, [...ids, ...ids])
}

const idsOf = async (sql: string): Promise<string[]> => (await rows<{ id: string }>(database(), sql)).map(row => row.id)

/**
 * Lines with the names of the students in them. @param taught sections whose students may be named; null for all
 */
export async function namedTo(taught: readonly string[] | null, lines: readonly RodMovement[]) {
  const ids = [...new Set(lines.flatMap(({ studentId }) => studentId ?? []))]
  const own = within('section_id', taught)
  const students =
    ids.length === 0
      ? []
      : await rows<{ id: string; name: string }>(
          database(),
          `SELECT id, name FROM student WHERE id IN (${marks(ids)}) AND ${own.sql}`,
          [...ids, ...own.values],
        )
  const names = new Map(students.map(row => [row.id, row.name] as const))
  return {
    movements: lines.map(({ studentId, ...line }) =>
      studentId && names.has(studentId) ? { ...line, studentId } : line,
    ),
    names: Object.fromEntries(names),
  }
}

/** The name of each student's section. */
async function sectionsOf(ids: readonly string[]): Promise<Record<string, string>> {
  if (ids.length === 0) return {}
  const found = await rows<{ id: string; name: string }>(
    database(),
    `SELECT student.id, section.name FROM student JOIN section ON section.id = section_id
    WHERE student.id IN (${marks(ids)})`,
    ids,
  )
  return Object.fromEntries(found.map(row => [row.id, row.name]))
}

/** What was used in the last weeks: the book, and the coupons that were run. */
export async function findRodsUsed(taught: readonly string[] | null): Promise<RodsUsed> {
  const [lines, runs] = await Promise.all([bookOfWeeks(), couponsRun(taught)])
  const told = await namedTo(taught, lines)
  return { ...told, runs, sections: await sectionsOf(Object.keys(told.names)) }
}

/**
 * Puts a line into the book. What is written down late changes what a count after it came to, and not what was counted.
 */
export async function insertLine(on: Queries, line: RodMovement): Promise<void> {
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
    line.by,
    toDateTime(new Date(line.at)),
  ])
  if (line.rods === 0) return
  const countedAfter = await run(
    on,
    `UPDATE rod_movement SET rods = rods - ? WHERE kind = 'counted' AND lot_id = ? AND noted_at > ? AND id <> ?
    ORDER BY noted_at, id LIMIT 1`,
    [line.rods, line.lotId, toDateTime(new Date(line.at)), line.id],
  )
  if (countedAfter === 0) await run(on, 'UPDATE rod_lot SET rods = rods + ? WHERE id = ?', [line.rods, line.lotId])
}

/** The first rods drawn from a lot whose boxes are all sealed open one of them, that day. */
export async function openLot(on: Queries, { kind, lotId, at }: RodMovement, clock: SchoolClock): Promise<void> {
  if (kind !== 'issued') return
  await run(on, 'UPDATE rod_lot SET opened_on = GREATEST(received_on, ?) WHERE id = ? AND opened_on IS NULL', [
    classDayAt(new Date(at), clock),
    lotId,
  ])
}
