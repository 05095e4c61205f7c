import type { Clause, CodeBook } from './codeBook'
import type { SizeRange } from './printedSize'
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
    says: row.says,
    clause: row.clause,
    remembered: row.remembered,
  }
}
