import type { CouponDocument } from '../coupon'
import { isFlaw, isTry } from '../coupon'
import { electrodeOf, type PadPosition, type RodFamily } from '../trade'
import type { ElementId } from './elements'
import type { Grade } from './verdict'

/** One countable row of a coupon: so much tried, so much of it sound. Lengths in mm. */
export interface Evidence {
  readonly position: PadPosition
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
 * What a coupon adds to the counts of its student.
 * @returns a row for each element that was tried
 * @example evidenceOf(document, gradeCoupon(document, rules))[0] // { element: 'start', tried: 6, sound: 6, ... }
 */
export function evidenceOf(document: CouponDocument, grade: Grade): Evidence[] {
  const position = document.ticket.position
  const rodFamily = electrodeOf(document.ticket.classification).family
  return grade.measures.elements
    .filter(measure => measure.tried > 0)
    .map(({ element, tried, sound, workable }) => ({ position, rodFamily, element, tried, sound, workable }))
}

/**
 * The coupon's flaws by kind, and its tries that were not sound by their fault (`restart: high`).
 * @returns rows sorted by name
 */
export function flawCounts(document: CouponDocument): FlawCount[] {
  const rows = new Map<string, { count: number, lengthMm: number }>()
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
