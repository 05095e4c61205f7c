import { over, under } from '../units'
import type { CodeBook, Welded } from './codeBook'
import { isOver, isWithin, sizeIn } from './printedSize'
import { diameterQualified } from './qualifiedDiameter'
import { fillersQualified } from './qualifiedFillers'
import { positionsQualified, positionsTogether } from './qualifiedPositions'
import { thicknessQualified } from './qualifiedThickness'
import { testFaults, unitFor, type TestTaken } from './testTaken'

/** What a student should end up qualified for. Lengths mm. */
export interface Wanted {
  readonly on: 'plate' | 'pipe'
  readonly grooves: readonly Welded[]
  readonly fillets: readonly Welded[]
  readonly thicknessMm: number
  /** Outside diameter of the pipe; null on plate. */
  readonly outsideMm: number | null
  readonly openRoot: boolean
  /** The rod that fills. */
  readonly classification: string
  readonly progression: 'up' | 'down'
}

/** Whether some tests together cover the positions that are wanted. */
export function covers(book: CodeBook, tests: readonly TestTaken[], wanted: Wanted): boolean {
  const { plateGroove, pipeGroove, fillet } = positionsTogether(book, tests)
  const groove = wanted.on === 'plate' || asPlate(book, wanted) ? plateGroove : pipeGroove
  return (
    wanted.grooves.every(letter => groove.includes(letter)) && wanted.fillets.every(letter => fillet.includes(letter))
  )
}

/** Pipe so large that the book treats it as plate. */
const asPlate = (book: CodeBook, { outsideMm }: Wanted): boolean =>
  book.plateAsPipe !== null && outsideMm !== null && isOver(sizeIn(outsideMm, unitOf(book)), book.plateAsPipe)
const unitOf = (book: CodeBook) => (book.unit === 'mm' ? 'mm' : 'in')

/**
 * Whether one test is of use at all: its thickness, diameter, root, rod and way are those wanted. Positions are
 * added up over several.
 */
export function isOfUse(book: CodeBook, test: TestTaken, wanted: Wanted): boolean {
  if (testFaults(test).length > 0 || positionsQualified(book, test) === null) return false
  if (test.progression !== null && test.progression !== wanted.progression) return false
  if (
    test.weld === 'fillet' ? wanted.fillets.length === 0 : wanted.openRoot && wanted.grooves.length > 0 && test.backing
  )
    return false
  if (!fillersQualified(book, test).withBacking.includes(wanted.classification)) return false
  if (!isThickEnough(book, test, wanted)) return false
  if (wanted.on === 'plate') return true
  const { range } = diameterQualified(book, test)
  return range !== null && isWithin(sizeIn(wanted.outsideMm!, range.unit), range)
}

/** A coupon that is no standard test of the book is of no use; a book that is broken is not hidden by that. */
function isThickEnough(book: CodeBook, test: TestTaken, wanted: Wanted): boolean {
  try {
    return thickEnough(book, test, wanted)
  } catch (error) {
    if (error instanceof RangeError) return false
    throw error
  }
}

/**
 * By the coupon, the joint lies within its range; by deposit, all fillers together may lay this thickness, the rod that
 * fills among them.
 */
function thickEnough(book: CodeBook, test: TestTaken, wanted: Wanted): boolean {
  const rows = thicknessQualified(book, test)
  const inUnit = sizeIn(wanted.thicknessMm, unitFor(book, test))
  if (test.weld === 'fillet' || book.thicknessOf === 'coupon') return rows.some(row => isWithin(inUnit, row.range))
  const most = rows.reduce((sum, { range }) => sum + (range.most ?? Infinity), 0)
  return (
    !over(inUnit.value, most) && rows.every(({ range }) => range.least === null || !under(inUnit.value, range.least))
  )
}

/** The most pieces that are welded for one qualification. */
const MOST_PIECES = 4

/**
 * The fewest test pieces that cover what is wanted, found by looking at all sets of one, then two, and so on: there
 * are few pieces, and few positions.
 * @param pieces what the school can run; T any kind of piece that says how it is taken
 * @returns every smallest set; none when nothing covers it, or nothing is wanted
 * @example fewestTests(STRUCTURAL, allOnPlate, pieces, piece => piece.taken)[0].map(piece => piece.name) // 3G and 4G
 */
export function fewestTests<T>(
  book: CodeBook,
  wanted: Wanted,
  pieces: readonly T[],
  taken: (piece: T) => TestTaken,
): T[][] {
  if (wanted.grooves.length + wanted.fillets.length === 0) return []
  const useful = pieces.map(piece => ({ piece, test: taken(piece) })).filter(({ test }) => isOfUse(book, test, wanted))
  for (let size = 1; size <= Math.min(MOST_PIECES, useful.length); size++) {
    const found = setsOf(useful, size).filter(set =>
      covers(
        book,
        set.map(one => one.test),
        wanted,
      ),
    )
    if (found.length > 0) return found.map(set => set.map(one => one.piece))
  }
  return []
}

function setsOf<T>(items: readonly T[], size: number): T[][] {
  if (size === 0) return [[]]
  return items.flatMap((item, n) => setsOf(items.slice(n + 1), size - 1).map(rest => [item, ...rest]))
}
