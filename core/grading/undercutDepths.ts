import { isFlaw, type CouponDocument } from '../coupon'
import { inches, over } from '../units'

/** Undercut of one class of depth, mm. */
export interface UndercutDepth {
  /** Deeper than the class before and at most this; null for all that is deeper. */
  readonly toMm: number | null
  readonly lengthMm: number
  readonly markIds: readonly string[]
}

const CLASSES: readonly (number | null)[] = [inches(1 / 64), inches(1 / 32), inches(1 / 16), null]

/**
 * Length of undercut by how deep it is: to 1/64, 1/32, 1/16 in, and deeper. At the limit it is of the shallower class.
 * @returns a row for each class, shallow first, mm
 */
export function undercutDepths(document: CouponDocument): readonly UndercutDepth[] {
  const undercuts = document.marks.filter(isFlaw).filter(mark => mark.flaw === 'undercut')
  const classOf = (mm: number) => CLASSES.findIndex(limit => limit === null || !over(mm, limit))
  return CLASSES.map((toMm, index) => {
    const marks = undercuts.filter(mark => classOf(mark.sizeMm ?? 0) === index)
    return {
      toMm,
      lengthMm: marks.reduce((sum, mark) => sum + mark.toMm - mark.atMm, 0),
      markIds: marks.map(mark => mark.id),
    }
  })
}
