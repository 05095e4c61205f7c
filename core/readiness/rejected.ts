import { discontinuityOf, familyOf, type RodFamily } from '../trade'
import {
  isFlaw,
  isGauge,
  isLastLayer,
  isPlate,
  isTry,
  passOf,
  type Bead,
  type CouponDocument,
  type Mark,
} from '../coupon'
import { rejecting, type CriteriaSet } from '../criteria'
import type { ElementId } from '../grading'
import { BURIED } from '../progress'
import type { LengthUnit } from '../units'

/** A mark of a coupon that a test would have rejected: of which element, run with what, and by what. */
export interface RejectedMark {
  readonly markId: string
  readonly element: ElementId
  readonly rodFamily: RodFamily
  /** Ids of the criteria sets that reject it; `BURIED` for what lies inside and may open in a bend. */
  readonly by: readonly string[]
}

const TRY_ELEMENT = { 'start': 'start', 'restart': 'restart', 'tie-in': 'tie-in', 'end': 'ends' } as const

/** The element that a mark speaks of. A flaw on the root side is the root's. */
function elementOfMark(mark: Mark, lane: Bead): ElementId {
  if (isTry(mark)) return TRY_ELEMENT[mark.kind]
  if (isGauge(mark)) return 'size'
  if (lane.face === 'root') return 'root'
  return mark.flaw === 'undercut' || mark.flaw === 'overlap' ? 'toes' : 'run'
}

const mayOpen = (mark: Mark) =>
  isFlaw(mark)
    ? discontinuityOf(mark.flaw).opensInBend
    : isTry(mark) && mark.degree !== 'sound' && mark.fault === 'slag'

/**
 * What a test would have said of a practice coupon: each of its marks held, alone, against the visual criteria of
 * tests, as if it lay where the examiner looks. An undercut of 1/64 in is no failure, one of 1/16 in is. Sums over a
 * length are left to the test itself: on a practice coupon most of what they count lies on other beads.
 * @param sets the visual criteria of tests
 * @param unit which of the values that a code prints is meant
 * @example rejectedMarks(document, [welderTest], 'in') // [{ element: 'ends', by: ['d1.1 welder'], … }]
 */
export function rejectedMarks(
  document: CouponDocument,
  sets: readonly CriteriaSet[],
  unit: LengthUnit,
): RejectedMark[] {
  const lanes = new Map(document.beads.map(bead => [bead.id, bead]))
  const { fitUp: _, ...welded } = document
  const failedBy = rejecting(document, sets, unit)
  return document.marks.flatMap(mark => {
    const lane = lanes.get(mark.beadId)
    if (!lane || (isTry(mark) && mark.degree === 'sound')) return []
    // Nothing but the mark and the lane it is seen on: what else was welded says nothing of it, and costs time.
    const seen = laneSeen(document, lane)
    const alone = { ...welded, beads: [seen], marks: [{ ...mark, beadId: seen.id }] }
    const failed = failedBy(alone)
    const by = mayOpen(mark) ? [...failed, BURIED] : failed
    if (by.length === 0) return []
    const rodFamily = familyOf(passOf(document, lane)?.classification ?? document.ticket.classification)
    return [{ markId: mark.id, element: elementOfMark(mark, lane), rodFamily, by }]
  })
}

/** Where an examiner sees what lies on a lane: what lies on an inner pass is judged as if it lay on the cap. */
function laneSeen(document: CouponDocument, lane: Bead): Bead {
  if (isPlate(document.piece) || lane.face === 'root' || isLastLayer(document, lane)) return lane
  return document.beads.filter(bead => bead.face === lane.face && isLastLayer(document, bead)).at(-1) ?? lane
}

/**
 * Marks rejected, counted for each row that a coupon's evidence has: by element and rod family.
 * @example rejectedCounts(marks, 'ends', 'low hydrogen') // { 'd1.1 welder': 2 }
 */
export function rejectedCounts(
  marks: readonly RejectedMark[],
  element: ElementId,
  rodFamily: RodFamily,
): Readonly<Record<string, number>> {
  const counts: Record<string, number> = {}
  for (const mark of marks.filter(one => one.element === element && one.rodFamily === rodFamily))
    for (const set of mark.by) counts[set] = (counts[set] ?? 0) + 1
  return counts
}
