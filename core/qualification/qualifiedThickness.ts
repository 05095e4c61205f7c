import type { Clause, CodeBook, RangeRow } from './codeBook'
import { boundFor, meets, sayPrinted, sizeIn, type Size, type SizeRange } from './printedSize'
import { outsideIn, thicknessIn, unitFor, type TestTaken } from './testTaken'

/** Thickness that is qualified: of the joint, or of what one filler deposits. */
export interface QualifiedThickness extends Clause {
  readonly of: 'groove' | 'deposit' | 'fillet material'
  /** The filler whose deposit it is; null for the joint. */
  readonly filler: string | null
  readonly range: SizeRange
  readonly says: string
}

/** The first row that is of a test's form, weld, size, diameter and layers. */
export function rowFor(
  rows: readonly RangeRow[],
  test: TestTaken,
  own: Size | null,
  outside: Size | null,
  layers: number,
): RangeRow | undefined {
  return rows.find(
    row =>
      (row.form === 'any' || row.form === test.form) &&
      (row.weld === 'any' || row.weld === test.weld) &&
      meets(own, row.when) &&
      meets(outside, row.outside) &&
      layers >= row.layers,
  )
}

/** The range that a row comes to for a size. */
export const rangeBy = ({ least, most }: RangeRow, own: Size): SizeRange => ({
  unit: own.unit,
  least: boundFor(least, own),
  most: boundFor(most, own),
})

/**
 * The thickness that a test qualifies, by the coupon or by what each filler deposited, as the book goes.
 * @throws RangeError when the coupon is no standard test of the book
 * @example thicknessQualified(STRUCTURAL, threeEighthsPlate)[0].range // { unit: 'in', least: 0.125, most: 0.75 }
 */
export function thicknessQualified(book: CodeBook, test: TestTaken): QualifiedThickness[] {
  const outside = outsideIn(book, test)
  const qualified = (
    own: Size,
    layers: number,
    of: QualifiedThickness['of'],
    filler: string | null,
  ): QualifiedThickness => {
    const row = rowFor(book.thickness, test, own, outside, layers)
    if (!row) throw new RangeError(`${book.name} has no standard test of this thickness${leastOf(book, test)}`)
    return { of, filler, range: rangeBy(row, own), says: row.says, clause: row.clause, remembered: row.remembered }
  }
  if (test.weld === 'fillet') return [qualified(thicknessIn(book, test), Infinity, 'fillet material', null)]
  if (book.thicknessOf === 'coupon') return [qualified(thicknessIn(book, test), Infinity, 'groove', null)]
  return test.fillers.map(({ classification, depositMm, layers }) =>
    qualified(sizeIn(depositMm, unitFor(book, test)), layers, 'deposit', classification),
  )
}

/** The thinnest coupon that a book has a row for, to be said where a thinner one was brought. */
function leastOf(book: CodeBook, test: TestTaken): string {
  const froms = book.thickness
    .filter(row => (row.form === 'any' || row.form === test.form) && row.weld !== 'fillet')
    .flatMap(row => row.when.from ?? [])
  const least = froms.sort((a, b) => a.mm - b.mm)[0]
  return least ? `: ${sayPrinted(least, unitFor(book, test))} or more is wanted` : ''
}
