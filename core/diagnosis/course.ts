import type { CouponDocument } from '../coupon'
import type { HouseRules } from '../house'
import { electrodeOf } from '../trade'
import { CAUSES, type CauseId } from './causes'
import { shows } from './network'
import { signsOf } from './signs'
import { signOf, type SignId } from './signTable'

/** What was told after a coupon, and whether it was done on the next. */
export interface Telling {
  readonly cause: CauseId | null
  readonly done: 'yes' | 'no' | null
}

/** What became of a sign from one coupon to the next of its kind. */
export interface SignCourse {
  readonly sign: SignId
  /** The cause that was told for it; null where it was left alone. */
  readonly cause: CauseId | null
  /** Whether the student did it; null while it was not asked, and where nothing was told for it. */
  readonly done: 'yes' | 'no' | null
  readonly gone: boolean
}

/** A sign has gone when this share of it, or less, is left. Common practice: half as many beads, or tries, show it. */
const LEFT = 0.5

/**
 * Whether one coupon can show what came of what was said of another: the same piece, position and family of rod.
 * @example ofOneKind(pad, padRunAgain) // true
 */
export const ofOneKind = (one: CouponDocument, other: CouponDocument): boolean =>
  one.piece.kind === other.piece.kind &&
  one.ticket.position === other.ticket.position &&
  electrodeOf(one.ticket.classification).family === electrodeOf(other.ticket.classification).family

/**
 * What became of each sign that a coupon showed, on the next of its kind. Only what is seen on a coupon counts, and
 * only where it was looked for on both; what a student said of the arc is not compared.
 * @param telling what was told after the first, and whether it was done
 * @param rules the house rules of each coupon's own day
 * @returns in the order of the signs on the first
 */
export function courseOf(
  [before, beforeRules]: readonly [CouponDocument, HouseRules],
  [after, afterRules]: readonly [CouponDocument, HouseRules],
  { cause, done }: Telling,
): SignCourse[] {
  const now = signsOf(after, afterRules)
  const left = new Map<SignId, number>([
    ...now.absent.map(id => [id, 0] as const),
    ...now.signs.map(({ id, share }) => [id, share] as const),
  ])
  const index = CAUSES.findIndex(one => one.id === cause)
  return signsOf(before, beforeRules)
    .signs.filter(({ id }) => signOf(id).ask === null && left.has(id))
    .map(({ id, share }) => {
      const told = index >= 0 && shows(id).shows[index]! > 0
      return {
        sign: id,
        cause: told ? cause : null,
        done: told ? done : null,
        gone: left.get(id)! <= share * LEFT,
      }
    })
}

/** How often signs of one kind went, told or left alone. */
export interface SignTally {
  readonly sign: SignId
  readonly cause: CauseId | null
  readonly seen: number
  readonly gone: number
}

/** What telling a cause came to, beside what the same signs do when they are left alone. */
export interface ToldTally {
  readonly cause: CauseId
  readonly seen: number
  readonly gone: number
  /** Share of the same signs, in the same proportions, that went untold; null where too few were ever left alone. */
  readonly alone: number | null
}

/** Fewer signs left alone than this say nothing to compare with. */
const ENOUGH_ALONE = 10

/**
 * How often each sign goes by itself, of those that were left alone often enough to say.
 * @returns shares, 0 to 1
 * @example goneAlone([{ sign: 'spatter', cause: null, seen: 20, gone: 15 }]).get('spatter') // 0.75
 */
export const goneAlone = (tallies: readonly SignTally[]): ReadonlyMap<SignId, number> =>
  new Map(
    tallies
      .filter(({ cause, seen }) => cause === null && seen >= ENOUGH_ALONE)
      .map(({ sign, seen, gone }) => [sign, gone / seen]),
  )

/**
 * Sums tallies by the cause that was told, with what the same signs do by themselves.
 * @returns the most told first
 * @example toldTallies([{ sign: 'undercut both', cause: 'arc long', seen: 9, gone: 7 }])[0].alone // null
 */
export function toldTallies(tallies: readonly SignTally[]): ToldTally[] {
  const alone = goneAlone(tallies)
  return CAUSES.map(({ id }): ToldTally => {
    const told = tallies.filter(row => row.cause === id)
    const sum = (of: (row: SignTally) => number) => told.reduce((all, row) => all + of(row), 0)
    const compared = told.flatMap(row => {
      const rate = alone.get(row.sign)
      return rate === undefined ? [] : [{ weight: row.seen, rate }]
    })
    const weight = compared.reduce((all, row) => all + row.weight, 0)
    return {
      cause: id,
      seen: sum(row => row.seen),
      gone: sum(row => row.gone),
      alone: weight === 0 ? null : compared.reduce((all, row) => all + row.weight * row.rate, 0) / weight,
    }
  })
    .filter(row => row.seen > 0)
    .sort((a, b) => b.seen - a.seen)
}
