import { isFlaw, type Bead, type FlawMark, type Mark } from '../coupon'
import { unionLength } from '../grading'
import { discontinuityOf } from '../trade'
import { over, under } from '../units'

/** How much light, plain and bad weigh beside a plain flaw. Common practice. */
const SEVERITY: Readonly<Record<FlawMark['severity'], number>> = { 1: 0.5, 2: 1, 3: 1.4 }

/** A flaw of no length is half of a bead's worth; a sixth of the bead's length is the other half. Common practice. */
const A_PLACE = 0.5
const A_LENGTH = 3
/** What is always given of a whole bead says no more by reaching from end to end. */
const A_BEAD = 1
function isOfWholeBead(
  { flaw, atMm, toMm }: FlawMark,
  { fromMm, toMm: endMm }: Pick<Bead, 'fromMm' | 'toMm'>,
): boolean {
  const { givenAs, beginsWhole } = discontinuityOf(flaw)
  return givenAs === 'bead' || (beginsWhole === true && !over(atMm, fromMm) && !under(toMm, endMm))
}

/** A piece of fewer beads than this says no more by one of them than a piece of this number. Common practice. */
export const PLACES = 6

/**
 * How strongly marks on one bead show something, 0 to `most`: by how bad they are, and by how much of its length they
 * cover. One plain flaw of an inch on a six-inch bead is the whole of it; a light one of half an inch well under half.
 * @param most what one bead can count for: more than 1 where there are few
 * @example strengthOn(bead, [aFlaw({ severity: 1, atMm: 50, toMm: 62.7 })]) // 0.375
 */
export function strengthOn(bead: Pick<Bead, 'fromMm' | 'toMm'>, marks: readonly Mark[], most = 1): number {
  const lengthMm = Math.max(1, bead.toMm - bead.fromMm)
  const flaws = marks.filter(isFlaw)
  const gauged = marks.length > flaws.length ? most : 0
  const bySeverity = ([1, 2, 3] as const).map(severity => {
    const own = flaws.filter(flaw => flaw.severity === severity)
    const spans = own.filter(flaw => !isOfWholeBead(flaw, bead))
    const coveredMm = unionLength(spans.map(flaw => ({ fromMm: flaw.atMm, toMm: flaw.toMm })))
    const bySpans = A_PLACE * spans.length + (A_LENGTH * coveredMm) / lengthMm
    return SEVERITY[severity] * (bySpans + (own.length > spans.length ? A_BEAD : 0))
  })
  return Math.min(most, gauged + bySeverity.reduce((sum, one) => sum + one, 0))
}
