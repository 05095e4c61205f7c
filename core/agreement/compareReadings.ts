import { isFlaw, isTry, type CouponDocument, type FlawMark, type TryMark } from '../coupon'
import { discontinuityOf } from '../trade'
import { inches, over } from '../units'

/** How a mark of one reading stands in the other. */
export type Outcome = 'found' | 'missed' | 'imagined' | 'misjudged'

/** A fault as the reference saw it, as the reading saw it, or both. */
export interface Compared {
  readonly outcome: Outcome
  readonly reference: TryMark | FlawMark | null
  readonly reading: TryMark | FlawMark | null
}

/** Two people's hands put one flaw within half an inch of each other. Common practice. */
export const SAME_PLACE_MM = inches(1 / 2)

/**
 * Lays a reading over the reference reading of the same coupon.
 * A flaw is found where the same kind lies on the same bead within half an inch; misjudged where another kind lies
 * there, or how bad it is differs by two degrees.
 * A try is found when both fault it alike, misjudged when they fault it differently.
 * @returns every fault of either, once, in the order of the reference, then what was imagined
 * @example compareReadings(instructors, students).filter(row => row.outcome === 'missed').length
 */
export function compareReadings(reference: CouponDocument, reading: CouponDocument): readonly Compared[] {
  const theirs = new Set(faultsOf(reading))
  const take = <T extends TryMark | FlawMark>(found: T | undefined): T | null =>
    found && theirs.delete(found) ? found : null
  const first = faultsOf(reference).map((mark): Compared => {
    const same = take(
      nearest(
        mark,
        [...theirs].filter(other => sameFault(mark, other)),
      ),
    )
    return same
      ? { outcome: alike(mark, same) ? 'found' : 'misjudged', reference: mark, reading: same }
      : { outcome: 'missed', reference: mark, reading: null }
  })
  // What one calls undercut and the other overlap is one fault, named two ways.
  const settled = first.map((row): Compared => {
    if (row.outcome !== 'missed') return row
    const other = take(
      nearest(
        row.reference!,
        [...theirs].filter(candidate => isRenamed(row.reference!, candidate)),
      ),
    )
    return other ? { outcome: 'misjudged', reference: row.reference, reading: other } : row
  })
  return [...settled, ...[...theirs].map((mark): Compared => ({ outcome: 'imagined', reference: null, reading: mark }))]
}

const faultsOf = ({ marks }: CouponDocument): (TryMark | FlawMark)[] =>
  marks.flatMap(mark => (isFlaw(mark) || (isTry(mark) && mark.degree !== 'sound') ? [mark] : []))

/** Tries stand where they stand: the same mark, or one of its kind at its place. */
export const sameTry = (one: TryMark, other: TryMark): boolean =>
  one.kind === other.kind && (one.id === other.id || near(one, other))

function sameFault(one: TryMark | FlawMark, other: TryMark | FlawMark): boolean {
  if (isFlaw(one)) return isFlaw(other) && one.flaw === other.flaw && near(one, other)
  return isTry(other) && sameTry(one, other)
}

/** One flaw under two names lies in one place; what is said of a whole bead is no name for a flaw on it. */
function isRenamed(one: TryMark | FlawMark, other: TryMark | FlawMark): boolean {
  if (!isFlaw(one) || !isFlaw(other)) return false
  const ofBead = (mark: FlawMark) => discontinuityOf(mark.flaw).givenAs === 'bead'
  return ofBead(one) === ofBead(other) && near(one, other)
}

const endOf = (mark: TryMark | FlawMark) => (isFlaw(mark) ? mark.toMm : mark.atMm)
const apart = (one: TryMark | FlawMark, other: TryMark | FlawMark) =>
  Math.max(0, one.atMm - endOf(other), other.atMm - endOf(one))

function near(one: TryMark | FlawMark, other: TryMark | FlawMark): boolean {
  return one.beadId === other.beadId && !over(apart(one, other), SAME_PLACE_MM)
}

const nearest = <T extends TryMark | FlawMark>(mark: TryMark | FlawMark, found: readonly T[]): T | undefined =>
  [...found].sort(
    (a, b) => apart(mark, a) - apart(mark, b) || Math.abs(mark.atMm - a.atMm) - Math.abs(mark.atMm - b.atMm),
  )[0]

function alike(one: TryMark | FlawMark, other: TryMark | FlawMark): boolean {
  if (isFlaw(one) && isFlaw(other)) return Math.abs(one.severity - other.severity) < 2
  return isTry(one) && isTry(other) && (one.fault === null || other.fault === null || one.fault === other.fault)
}
