import type { Clause, CodeBook, RotatedPipe, Welded } from './codeBook'
import { sayPrinted, type SizeRange } from './printedSize'
import { positionsQualified } from './qualifiedPositions'
import { rangeBy, rowFor } from './qualifiedThickness'
import { outsideIn, unitFor, type TestTaken } from './testTaken'

/** Outside diameters that are qualified; none where the book has no such test. */
export interface QualifiedDiameter extends Clause {
  readonly range: SizeRange | null
  readonly says: string
}

/**
 * The pipe diameters that a test qualifies.
 * @example diameterQualified(STRUCTURAL, sixInchPipe).range // { unit: 'in', least: 4, most: null }
 */
export function diameterQualified(book: CodeBook, test: TestTaken): QualifiedDiameter {
  const outside = outsideIn(book, test)
  const row = rowFor(book.diameters, test, outside, outside, Infinity)
  if (!row) return { range: null, says: 'no such test', clause: '', remembered: 'sure' }
  return {
    range: rangeBy(row, outside ?? { unit: unitFor(book, test), value: 0 }),
    says: [row.says, row.rotated && sayRotated(book, test, row.rotated)].filter(Boolean).join('; '),
    clause: row.clause,
    remembered: row.remembered,
  }
}

/** Pipe that is turned while it is welded is covered from a smaller size, in those positions that the test covers. */
function sayRotated(book: CodeBook, test: TestTaken, { from, groove, fillet }: RotatedPipe): string {
  const covered = positionsQualified(book, test)
  const names = test.weld === 'fillet' ? fillet : groove
  const letters = (test.weld === 'fillet' ? covered?.fillet : covered?.pipeGroove) ?? []
  const positions = letters.flatMap((letter: Welded) => names[letter] ?? [])
  return positions.length === 0
    ? ''
    : `rotated from ${sayPrinted(from, unitFor(book, test))} in ${positions.join(', ')}`
}
