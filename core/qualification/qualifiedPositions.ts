import { ALL_WELDED, type Clause, type CodeBook, type Coverage, type PositionRow } from './codeBook'
import type { TestTaken } from './testTaken'

type Placed = Pick<TestTaken, 'form' | 'position' | 'progression'>

/**
 * What one test position qualifies by a book.
 * @returns null where the book has no such test
 * @example positionsQualified(PRESSURE, { form: 'plate', position: '3G', progression: 'up' })!.plateGroove // ['F',
 *   'V']
 */
export const positionsQualified = (
  { positions }: CodeBook,
  { form, position, progression }: Placed,
): PositionRow | null =>
  positions.find(
    row =>
      row.form === form && row.position === position && (row.progression === null || row.progression === progression),
  ) ?? null

/**
 * The positions that several tests qualify together.
 * @example positionsTogether(STRUCTURAL, [threeG, fourG]).plateGroove // ['F', 'H', 'V', 'O']
 */
export function positionsTogether(
  book: CodeBook,
  tests: readonly Placed[],
): Coverage & { readonly clauses: readonly Clause[] } {
  const single = tests.flatMap(test => positionsQualified(book, test) ?? [])
  const sets = book.together.filter(row =>
    row.positions.every(position => tests.some(test => test.form === row.form && test.position === position)),
  )
  const all = [...single, ...sets]
  const union = (which: keyof Coverage) => ALL_WELDED.filter(letter => all.some(one => one[which].includes(letter)))
  const clauses = [...new Map(all.map(({ clause, remembered }) => [clause, { clause, remembered }])).values()]
  return { plateGroove: union('plateGroove'), pipeGroove: union('pipeGroove'), fillet: union('fillet'), clauses }
}
