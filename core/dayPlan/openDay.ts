import { kindOf } from '../rodRoom'
import { piecesThere, stepsTaken, wantedOf, type PlanCase, type PlannedCoupon } from './planCase'
import { faultsOfLine } from './planConflicts'
import { piecesTaken } from './planUse'
import { readIn, readingsInStep } from './readings'

/** A day that fills line by line. */
export interface OpenDay {
  readonly lines: readonly PlannedCoupon[]
  readonly has: (line: Pick<PlannedCoupon, 'studentId' | 'rungId' | 'nth'>) => boolean
  /** Whether a line can still be put in. */
  readonly fits: (line: PlannedCoupon) => boolean
  readonly put: (line: PlannedCoupon) => void
}

const NAMELESS = () => ''

/** An empty day, which knows what is taken: to try a line costs no look at all the others. */
export function openDay(wanted: PlanCase): OpenDay {
  const lines: PlannedCoupon[] = []
  const taken = new Set<string>()
  const readings = new Map<number, number>()
  const rods = new Map<string, number>()
  const { stepMinutes } = wanted.terms

  const idOf = ({ studentId, rungId, nth }: Pick<PlannedCoupon, 'studentId' | 'rungId' | 'nth'>) =>
    `coupon ${studentId} ${rungId} ${nth}`
  const placesOf = (line: PlannedCoupon) =>
    stepsTaken(wanted, line).flatMap(step => [`booth ${line.booth} ${step}`, `student ${line.studentId} ${step}`])
  const readStep = (line: PlannedCoupon) => readIn(wanted, Math.ceil((line.from + line.minutes) / stepMinutes))!
  const rodsOf = (line: PlannedCoupon) => wantedOf(wanted, line)!.rods
  const enoughPieces = (line: PlannedCoupon) =>
    [...piecesTaken(wanted, [...lines, line])].every(([kind, count]) => count <= piecesThere(wanted.terms, kind))
  const anyPieces = Object.keys(wanted.terms.pieces).length > 0

  const fits = (line: PlannedCoupon): boolean =>
    !taken.has(idOf(line)) &&
    !placesOf(line).some(place => taken.has(place)) &&
    faultsOfLine(wanted, line, NAMELESS).length === 0 &&
    (readings.get(readStep(line)) ?? 0) < readingsInStep(wanted.terms) &&
    rodsOf(line).every(rod => (rods.get(kindOf(rod)) ?? 0) + rod.count <= (wanted.rods[kindOf(rod)] ?? Infinity)) &&
    (!anyPieces || enoughPieces(line))

  function put(line: PlannedCoupon): void {
    lines.push(line)
    taken.add(idOf(line))
    for (const place of placesOf(line)) taken.add(place)
    readings.set(readStep(line), (readings.get(readStep(line)) ?? 0) + 1)
    for (const rod of rodsOf(line)) rods.set(kindOf(rod), (rods.get(kindOf(rod)) ?? 0) + rod.count)
  }
  return { lines, has: line => taken.has(idOf(line)), fits, put }
}
