import type { CouponDocument } from '../coupon'
import { isFlaw, isTry, passOf } from '../coupon'
import type { HouseRules } from '../house'
import { familyOf, pieceOf, type PositionId, type RodFamily, type Work } from '../trade'
import { elementOf, type ElementId } from './elements'
import { measureCoupon, type Measure } from './measures'
import type { Grade } from './verdict'

/**
 * One countable row of a coupon: what was tried, how much of it was sound, on what kind of piece, in which position,
 * with which rods. Lengths in mm.
 */
export interface Evidence {
  readonly work: Work
  readonly position: PositionId
  readonly rodFamily: RodFamily
  readonly element: ElementId
  readonly tried: number
  readonly sound: number
  readonly workable: number
}

/** One row for each kind of thing found wrong. */
export interface FlawCount {
  readonly flaw: string
  readonly count: number
  readonly lengthMm: number
}

/**
 * What a coupon adds to the counts of its student. Passes run with rods of another family than the ticket's are
 * counted under theirs.
 * @returns a row for each element that was tried, by rod family
 * @example evidenceOf(document, gradeCoupon(document, rules), rules)[0] // { element: 'start', tried: 6, sound: 6,
 *   ... }
 */
export function evidenceOf(document: CouponDocument, grade: Grade, rules: HouseRules): Evidence[] {
  const own = familyOf(document.ticket.classification)
  const families = [...new Set([own, ...(document.passes ?? []).map(pass => familyOf(pass.classification))])]
  if (families.length === 1) return rowsOf(document, own, grade.measures.elements)
  return families.flatMap(family => {
    const elements = measureCoupon(partBy(document, family), rules).elements
    return rowsOf(
      document,
      family,
      family === own ? elements : elements.filter(measure => elementOf(measure.element).counted !== 'coupon'),
    )
  })
}

function rowsOf(document: CouponDocument, rodFamily: RodFamily, elements: readonly Measure[]): Evidence[] {
  const { work } = pieceOf(document.piece.kind)
  return elements
    .filter(measure => measure.tried > 0)
    .map(({ element, tried, sound, workable }) => ({
      work,
      position: document.ticket.position,
      rodFamily,
      element,
      tried,
      sound,
      workable,
    }))
}

/** What of a coupon was run with one family of rods. */
function partBy(document: CouponDocument, family: RodFamily): CouponDocument {
  const beads = document.beads.filter(
    bead => familyOf(passOf(document, bead)?.classification ?? document.ticket.classification) === family,
  )
  const ids = new Set(beads.map(bead => bead.id))
  return { ...document, beads, marks: document.marks.filter(mark => ids.has(mark.beadId)) }
}

/**
 * The coupon's flaws by kind, and its tries that were not sound by their fault (`restart: high`).
 * @returns rows sorted by name
 */
export function flawCounts(document: CouponDocument): FlawCount[] {
  const rows = new Map<string, { count: number; lengthMm: number }>()
  const add = (flaw: string, lengthMm: number) => {
    const row = rows.get(flaw) ?? { count: 0, lengthMm: 0 }
    rows.set(flaw, { count: row.count + 1, lengthMm: row.lengthMm + lengthMm })
  }
  for (const mark of document.marks) {
    if (isFlaw(mark)) add(mark.flaw, mark.toMm - mark.atMm)
    else if (isTry(mark) && mark.degree !== 'sound') add(`${mark.kind}: ${mark.fault ?? 'not said'}`, 0)
  }
  return [...rows].map(([flaw, row]) => ({ flaw, ...row })).sort((a, b) => a.flaw.localeCompare(b.flaw, 'en'))
}
