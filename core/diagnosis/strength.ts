import { isFlaw, type Bead, type FlawMark, type Mark } from '../coupon'
import { unionLength } from '../grading'

/** How much light, plain and bad weigh beside a plain flaw. Common practice. */
const SEVERITY: Readonly<Record<FlawMark['severity'], number>> = { 1: 0.5, 2: 1, 3: 1.4 }

/** A flaw of no length is half of a bead's worth; a sixth of the bead's length is the other half. Common practice. */
const A_PLACE = 0.5
const A_LENGTH = 3

/**
 * How strongly marks on one bead show something, 0 to 1: by how bad they are, and by how much of its length they cover.
 * One plain flaw of an inch on a six-inch bead is the whole of it; a light one of half an inch well under half.
 * @example strengthOn(bead, [aFlaw({ severity: 1, atMm: 50, toMm: 62.7 })]) // 0.375
 */
export function strengthOn(bead: Pick<Bead, 'fromMm' | 'toMm'>, marks: readonly Mark[]): number {
  const lengthMm = Math.max(1, bead.toMm - bead.fromMm)
  const flaws = marks.filter(isFlaw)
  const gauged = marks.length > flaws.length ? 1 : 0
  const bySeverity = ([1, 2, 3] as const).map(severity => {
    const own = flaws.filter(flaw => flaw.severity === severity)
    const coveredMm = unionLength(own.map(flaw => ({ fromMm: flaw.atMm, toMm: flaw.toMm })))
    return SEVERITY[severity] * (A_PLACE * own.length + (A_LENGTH * coveredMm) / lengthMm)
  })
  return Math.min(1, gauged + bySeverity.reduce((sum, one) => sum + one, 0))
}
