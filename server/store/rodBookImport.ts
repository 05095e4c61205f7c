import { bookLine, countAfter, movementFault, type RodMovement } from '../../core/rodRoom'
import type { RodBookImport } from '../../contract/rodRoom'
import { database, inTransaction, rows, type Queries } from './database'
import { noteEverySection } from './floorSerial'
import { takeGuard } from './guard'
import { currentRules } from './houseRules'
import { bookOfLot, insertLine, openLot } from './rodBook'
import { allLots } from './rodRoom'
import { schoolClock } from './school'

/** Which line of a list cannot stand in the book, and why. */
export interface LineRefused {
  readonly line: number
  readonly field: '.lotId' | '.studentId' | '.at' | '.kind'
  readonly why: string
}

/** Thrown to undo what was written so far; never leaves this file. */
class Refused extends Error {
  constructor(readonly of: LineRefused) {
    super(of.why)
  }
}

/**
 * Takes in what happened to rods, in the order in which it happened, all of it or none. Lines that are in the book
 * already stay as they are: the same list again changes nothing.
 * @returns the line that cannot be; null where all stand
 */
export async function importBook(
  { lines }: RodBookImport,
  by: { readonly name: string; readonly now: Date },
): Promise<LineRefused | null> {
  const [{ rules }, clock, lots, students] = await Promise.all([
    currentRules(),
    schoolClock(),
    allLots(),
    studentsAmong(lines),
  ])
  const lotOf = new Map(lots.map(lot => [lot.id, lot]))
  const refuse = (line: number, field: LineRefused['field'], why: string) => new Refused({ line, field, why })
  try {
    await inTransaction(database(), async on => {
      for (const [n, { lotId, studentId, at }] of lines.entries()) {
        if (!lotOf.has(lotId)) throw refuse(n, '.lotId', 'There is no such lot')
        if (studentId !== null && !students.has(studentId)) throw refuse(n, '.studentId', 'There is no such student')
        if (at > by.now.toISOString()) throw refuse(n, '.at', 'That has not happened yet')
      }
      const books = await guardedBooks(on, new Set(lines.map(line => line.lotId)))
      const inOrder = [...lines.entries()].sort(([, a], [, b]) => a.at.localeCompare(b.at))
      for (const [n, { id, at, ...said }] of inOrder) {
        const book = books.get(said.lotId)!
        if (book.has(id)) continue
        const own = said.handfulId ? book.ofHandful(said.handfulId) : []
        const line = bookLine(id, said, own, { by: by.name, now: new Date(at), stock: book.stockAt(at) })
        const terms = { houseHours: rules.exposureHours, now: new Date(at) }
        const why = movementFault(line, lotOf.get(said.lotId)!, own, terms)
        if (why) throw refuse(n, '.kind', why)
        await insertLine(on, line)
        await openLot(on, line, clock)
        book.add(line)
      }
      await noteEverySection(on)
    })
    return null
  } catch (error) {
    if (error instanceof Refused) return error.of
    throw error
  }
}

async function studentsAmong(lines: RodBookImport['lines']): Promise<ReadonlySet<string>> {
  const ids = [...new Set(lines.flatMap(({ studentId }) => studentId ?? []))]
  if (ids.length === 0) return new Set()
  const found = await rows<{ id: string }>(
    database(),
    `SELECT id FROM student WHERE id IN (${ids.map(() => '?').join(', ')})`,
    ids,
  )
  return new Set(found.map(row => row.id))
}

/** The books of some lots, each under its guard, always in the same order: two lists at once wait for each other. */
async function guardedBooks(on: Queries, lotIds: ReadonlySet<string>) {
  const books = new Map<string, ReturnType<typeof bookAtHand>>()
  for (const lotId of [...lotIds].sort()) {
    await takeGuard(on, `lot ${lotId}`)
    books.set(lotId, bookAtHand(await bookOfLot(on, lotId)))
  }
  return books
}

/** A lot's lines at hand by handful: a list of hundreds goes through none of them twice. */
function bookAtHand(lines: readonly RodMovement[]) {
  const byId = new Map<string, RodMovement>()
  const handfuls = new Map<string, RodMovement[]>()
  function put(line: RodMovement): void {
    byId.set(line.id, line)
    const handful = line.handfulId ?? line.id
    handfuls.set(handful, [...(handfuls.get(handful) ?? []), line])
  }
  function add(line: RodMovement): void {
    const count = countAfter([...byId.values()], line)
    if (count) byId.set(count.id, { ...count, rods: count.rods - line.rods })
    put(line)
  }
  lines.forEach(put)
  return {
    add,
    has: (id: string) => byId.has(id),
    ofHandful: (id: string): readonly RodMovement[] => handfuls.get(id) ?? [],
    stockAt: (at: string) => [...byId.values()].reduce((sum, line) => sum + (line.at <= at ? line.rods : 0), 0),
  }
}
