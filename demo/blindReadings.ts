import { blindCopy } from '../core/agreement'
import { isFlaw, isTry, moveMark, newFlaw, setDegree, type CouponDocument, type Mark } from '../core/coupon'
import type { Random } from '../core/statistics'
import { inches } from '../core/units'

/**
 * How an eye reads: what it sees of what is there, and how often it sees what is not. Shares, made up for the
 * school.
 */
export interface Eye {
  readonly sees: number
  readonly imagines: number
  /** A hand's breadth in the marks, mm. */
  readonly offMm: number
}

/** A student's eye learns through the term. @param through share of the term that is past */
export const studentsEye = (through: number): Eye => ({
  sees: 0.4 + 0.4 * through,
  imagines: 0.12 - 0.07 * through,
  offMm: inches(3 / 8),
})

export const SECOND_INSTRUCTOR: Eye = { sees: 0.87, imagines: 0.03, offMm: inches(1 / 8) }

/** The same coupon as another eye would read it. */
export function readByEye(document: CouponDocument, { sees, imagines, offMm }: Eye, random: Random): CouponDocument {
  const seen = document.marks
    .filter(isFlaw)
    .filter(() => random.chance(sees))
    .map((mark, n) => ({ ...moveMark(document, mark, offMm * random.normal()), id: `own-${n}` }))
  const tries = document.marks.filter(isTry).map((mark): Mark => {
    if (mark.degree === 'sound') return random.chance(imagines) ? setDegree(mark, 2) : mark
    return random.chance(sees)
      ? { ...mark, degree: random.chance(0.75) ? mark.degree : 'workable' }
      : setDegree(mark, 1)
  })
  const extra = document.beads
    .filter(() => random.chance(imagines))
    .map((bead, n) =>
      newFlaw(document, `imagined-${n}`, random.pick(['undercut', 'slag', 'porosity']), {
        beadId: bead.id,
        atMm: bead.fromMm + random.uniform() * (bead.toMm - bead.fromMm),
      }),
    )
  return { ...blindCopy(document), marks: [...tries, ...seen, ...extra] }
}
