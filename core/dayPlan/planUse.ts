import { usualPiece, isPipe } from '../coupon'
import { kindOf } from '../rodRoom'
import { inches } from '../units'
import { pieceOf, type PieceKind } from '../trade'
import { wantedOf, type PlanCase, type PlannedCoupon } from './planCase'

const add = <K>(sums: Map<K, number>, key: K, count: number) => sums.set(key, (sums.get(key) ?? 0) + count)

/** Rods that a plan burns, by kind. */
export function rodsTaken(wanted: PlanCase, lines: readonly PlannedCoupon[]): ReadonlyMap<string, number> {
  const taken = new Map<string, number>()
  for (const line of lines) for (const rod of wantedOf(wanted, line)?.rods ?? []) add(taken, kindOf(rod), rod.count)
  return taken
}

/** Pieces that a plan takes, by kind: one less for each pair that runs a kind between them. */
export function piecesTaken(wanted: PlanCase, lines: readonly PlannedCoupon[]): ReadonlyMap<PieceKind, number> {
  const taken = new Map<PieceKind, number>()
  const by = new Map<PieceKind, Set<string>>()
  for (const line of lines) {
    const piece = wantedOf(wanted, line)?.piece
    if (!piece) continue
    add(taken, piece, 1)
    by.set(piece, (by.get(piece) ?? new Set()).add(line.studentId))
  }
  for (const [piece, students] of by)
    for (const [one, other] of wanted.terms.pairs) if (students.has(one) && students.has(other)) add(taken, piece, -1)
  return taken
}

/** A short length of pipe that a butt or a branch is made of. Common practice: enough for the stand to hold. */
const PIPE_LENGTH_MM = inches(3)

/** What is cut for a plan: a number of lengths of a kind of piece. */
export interface LengthsToCut {
  readonly piece: PieceKind
  readonly lengthMm: number
  readonly count: number
  readonly pipe: boolean
}

/** Coupons that a plan takes again, by kind: of those that lie there, no more than it has use for. */
export const takenAgain = (wanted: PlanCase, lines: readonly PlannedCoupon[]): ReadonlyMap<PieceKind, number> =>
  new Map(
    [...piecesTaken(wanted, lines)]
      .map(([kind, count]) => [kind, Math.min(count, wanted.terms.again?.[kind] ?? 0)] as const)
      .filter(([, count]) => count > 0),
  )

/**
 * The lengths that a plan's pieces are cut in, in usual sizes: a pad is one plate, a joint is two; nothing is cut for a
 * coupon that is taken again.
 */
export function lengthsToCut(wanted: PlanCase, lines: readonly PlannedCoupon[]): LengthsToCut[] {
  const again = takenAgain(wanted, lines)
  const newOnes = [...piecesTaken(wanted, lines)].map(
    ([kind, count]) => [kind, count - (again.get(kind) ?? 0)] as const,
  )
  return newOnes
    .filter(([, count]) => count > 0)
    .map(([kind, count]) => {
      const piece = usualPiece(kind)
      const pipe = isPipe(piece)
      return {
        piece: kind,
        lengthMm: isPipe(piece) ? PIPE_LENGTH_MM : piece.lengthMm,
        count: count * (pieceOf(kind).work === 'plate' ? 1 : 2),
        pipe,
      }
    })
}
