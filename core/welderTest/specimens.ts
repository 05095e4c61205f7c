import { MM_PER_INCH, over } from '../units'
import {
  BEND_KINDS,
  type BendKind,
  type Clause,
  type CodeBook,
  type FormerRow,
  type SpecimenKind,
} from '../qualification/codeBook'
import { meets } from '../qualification/printedSize'
import { isRound, outsideIn, thicknessIn, unitFor, type TestTaken } from '../qualification/testTaken'

/** One specimen: what it is, and where along the seam it is cut. Lengths mm. */
export interface Specimen {
  readonly id: string
  readonly kind: SpecimenKind
  readonly fromMm: number
  readonly toMm: number
}

/**
 * The specimens of a test, where they are cut, with the clause that says how many. Where they lie is remembered
 * less surely.
 */
export interface SpecimenPlan extends Clause {
  readonly specimens: readonly Specimen[]
  readonly seamMm: number
}

/** How a welded-out piece is examined beside the visual. */
export type ExaminedBy = 'specimens' | 'radiograph'

export const isBend = (kind: SpecimenKind): kind is BendKind => BEND_KINDS.some(bend => bend === kind)

/**
 * What is cut from a test, or the film in its place.
 * @throws RangeError where the book has no such test, or takes no radiograph
 * @example specimenKinds(STRUCTURAL, plate3G, 'specimens').kinds // ['face', 'root']
 */
export function specimenKinds(
  book: CodeBook,
  test: TestTaken,
  by: ExaminedBy,
): Clause & { readonly kinds: readonly SpecimenKind[] } {
  if (by === 'radiograph') {
    if (!book.radiograph || test.weld === 'fillet')
      throw new RangeError(`${book.name} takes no radiograph in place of these specimens`)
    return { kinds: ['radiograph'], clause: book.radiograph.clause, remembered: book.radiograph.remembered }
  }
  const row = book.specimens.find(
    one =>
      (one.form === 'any' || one.form === test.form) &&
      one.weld === test.weld &&
      (one.round === null || one.round === isRound(test)) &&
      meets(thicknessIn(book, test), one.wall) &&
      meets(outsideIn(book, test), one.outside),
  )
  if (!row) throw new RangeError(`${book.name} has no ${test.weld} test on ${test.form}`)
  return row
}

/** Width of a specimen along the seam, mm. @throws RangeError where the book gives none */
function widthOf(book: CodeBook, test: TestTaken, kind: SpecimenKind): number {
  const row = book.strips.find(one => one.kinds.includes(kind) && meets(outsideIn(book, test), one.outside))
  if (!row) throw new RangeError(`${book.name} gives no width for a ${kind} specimen`)
  return unitFor(book, test) === 'in' ? row.width.in * MM_PER_INCH : row.width.mm
}

/** An inch at either end of a plate is thrown away. Common practice, and what the figures come to. */
const DISCARD_MM = MM_PER_INCH

/**
 * The specimens of a test with where each is cut: on fixed pipe four at 45 degrees to the vertical, on other pipe
 * evenly round it, on plate evenly between
 * the discards. A radiograph is of the whole seam. A break takes what the others leave.
 * @param seamMm length of the weld; round a pipe its circumference
 * @throws RangeError when they do not fit
 * @example specimenPlan(STRUCTURAL, plate3G, 177.8).specimens.map(row => row.kind) // ['face', 'root']
 */
export function specimenPlan(
  book: CodeBook,
  test: TestTaken,
  seamMm: number,
  by: ExaminedBy = 'specimens',
): SpecimenPlan {
  const { kinds, clause, remembered } = specimenKinds(book, test, by)
  const plan = (specimens: readonly Specimen[]): SpecimenPlan => ({ specimens, seamMm, clause, remembered })
  if (by === 'radiograph') return plan([{ id: 'radiograph-1', kind: 'radiograph', fromMm: 0, toMm: seamMm }])
  const plate = test.form === 'plate'
  const usable = plate ? seamMm - 2 * DISCARD_MM : seamMm
  const others = kinds.filter(kind => kind !== 'fillet break').reduce((sum, kind) => sum + widthOf(book, test, kind), 0)
  const widths = kinds.map(kind =>
    kind === 'fillet break' ? Math.min(widthOf(book, test, kind), usable - others) : widthOf(book, test, kind),
  )
  const total = widths.reduce((sum, width) => sum + width, 0)
  if (over(total, usable) || widths.some(width => width <= 0))
    throw new RangeError(
      `The specimens take ${Math.ceil(Math.max(total, others + 1))} mm of weld, and there are ${Math.floor(usable)}: ` +
        'a longer piece is wanted',
    )
  const gap = (usable - total) / (kinds.length + (plate ? 1 : 0))
  let at = plate ? DISCARD_MM + gap : 0
  return plan(
    kinds.map((kind, n): Specimen => {
      const width = widths[n]!
      const middle = plate ? at + width / 2 : seamMm * (kinds.length === 4 ? (n + 0.5) / 4 : (n + 0.25) / kinds.length)
      at += width + gap
      return { id: `${kind.replace(' ', '-')}-${n + 1}`, kind, fromMm: middle - width / 2, toMm: middle + width / 2 }
    }),
  )
}

/**
 * The former for a steel, by its yield strength.
 * @param yieldMpa MPa
 * @example formerFor(STRUCTURAL, 345).plunger.in // 1.5
 */
export function formerFor({ formers }: CodeBook, yieldMpa: number): FormerRow {
  return (
    formers.find(
      ({ upToMpa, reached }) => upToMpa === null || yieldMpa < upToMpa || (reached && yieldMpa === upToMpa),
    ) ?? formers.at(-1)!
  )
}
