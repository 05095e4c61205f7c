import type { LengthUnit } from '../units'
import { clauseIn, type CodeBook } from '../qualification/codeBook'
import { isOver, isUnder, sayPrinted, type Printed, type Size } from '../qualification/printedSize'

/** What an opening plainly is; a plain opening shows nothing that it comes from. */
export const OPENING_KINDS = ['opening', 'crack', 'slag', 'lack of fusion', 'porosity'] as const
export type OpeningKind = (typeof OPENING_KINDS)[number]

/**
 * Something open on the convex face of a bend. `length` is its greatest, in the unit it was measured in; places in
 * mm.
 */
export interface Opening {
  readonly length: number
  /** Along the seam from the specimen's own start, 0 to its width. */
  readonly atMm: number
  /** At a corner of the strip. */
  readonly corner: boolean
  readonly kind: OpeningKind
  /** On a side bend, how deep under the face it lies, as a share of the thickness; null on others. */
  readonly depth: number | null
}

export type BendOutcome = 'passes' | 'fails' | 'another specimen'

/** How a bend is judged, with what decided it and where that is written. */
export interface BendVerdict {
  readonly outcome: BendOutcome
  readonly reasons: readonly string[]
  readonly clause: string
}

/** A corner crack that shows neither slag nor lack of fusion. */
const isInnocent = ({ corner, kind }: Opening) => corner && kind !== 'slag' && kind !== 'lack of fusion'

/** Some codes let a limit be met exactly, others say "or more". */
const atMost = (limit: string, reached: boolean) => (reached ? `over ${limit}` : `of ${limit} or more`)

/**
 * Judges one bend by a book; a limit met exactly passes, except where the code says "or more".
 * @param unit in which the openings were measured and the book is read
 * @param wall of the coupon in the same unit: half of it may be the limit
 * @example bendVerdict(STRUCTURAL, 'in', [{ length: 1 / 8, atMm: 10, corner: false, kind: 'opening', depth: null
 *   }], 3 / 8).outcome // 'passes'
 */
export function bendVerdict(book: CodeBook, unit: LengthUnit, openings: readonly Opening[], wall: number): BendVerdict {
  const { bend } = book
  const clause = clauseIn(book, bend)
  const size = (length: number): Size => ({ unit, value: length })
  const beyond = (length: number, limit: Printed, reached: boolean) =>
    reached ? isOver(size(length), limit) : !isUnder(size(length), limit)
  const half = bend.halfWall && wall / 2 < bend.single[unit]
  const single: Printed = half ? { in: wall / 2, mm: wall / 2 } : bend.single
  const counted = openings.filter(opening => !isInnocent(opening))
  const reasons = counted
    .filter(opening => beyond(opening.length, single, bend.singleReached))
    .map(({ kind, corner }) => {
      const what = kind === 'opening' ? 'An opening' : kind[0]!.toUpperCase() + kind.slice(1)
      const limit = atMost(half ? 'half the wall' : sayPrinted(single, unit), bend.singleReached)
      return `${what} ${limit}${corner ? ' at a corner' : ''}`
    })
  if (bend.sum) {
    const summed = counted.filter(
      opening =>
        beyond(opening.length, bend.counted, !bend.countedReached) &&
        !beyond(opening.length, single, bend.singleReached),
    )
    if (isOver(size(summed.reduce((sum, opening) => sum + opening.length, 0)), bend.sum))
      reasons.push(`Openings sum to more than ${sayPrinted(bend.sum, unit)}`)
  }
  const corners = bend.corner
    ? openings.filter(isInnocent).filter(opening => beyond(opening.length, bend.corner!, bend.cornerReached))
    : []
  const cornered = corners.map(
    () => `A corner crack ${atMost(sayPrinted(bend.corner!, unit), bend.cornerReached)} with no slag or lack of fusion`,
  )
  if (bend.cornerBeyond === 'fails') reasons.push(...cornered)
  if (reasons.length === 0 && bend.cornerBeyond === 'another specimen' && cornered.length > 0)
    return { outcome: 'another specimen', reasons: cornered, clause }
  return { outcome: reasons.length > 0 ? 'fails' : 'passes', reasons, clause }
}
