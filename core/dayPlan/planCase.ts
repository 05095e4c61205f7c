import type { BoothMeans, BoothNeed } from '../floor'
import type { PieceKind } from '../trade'

/** Rods of a kind that a coupon burns. */
export interface RodsBurnt {
  readonly classification: string
  readonly diameterMm: number
  readonly count: number
}

/** A coupon that would serve a student today. */
export interface WantedCoupon {
  readonly rungId: string
  /** 1 for the first of this rung today, 2 for one more of it. */
  readonly nth: number
  readonly name: string
  /** Time in the booth, from setting up to the last bead brushed. */
  readonly minutes: number
  /** What it is worth; `worthOf` says by what measure. */
  readonly worth: number
  readonly need: BoothNeed
  /** Rods that it burns. */
  readonly rods: readonly RodsBurnt[]
  /** What it is welded on. */
  readonly piece: PieceKind
}

/** A student who is expected, with what would serve, best first. */
export interface PlanStudent {
  readonly id: string
  /** The student's own booth; null where there is none. */
  readonly booth: number | null
  readonly coupons: readonly WantedCoupon[]
}

/** A booth that may be used today. */
export interface PlanBooth {
  readonly booth: number
  readonly means: BoothMeans
}

/** Something shown to all: no student welds meanwhile, and no coupon is read. Minutes since the class began. */
export interface ShownToAll {
  readonly topic: string
  readonly from: number
  readonly minutes: number
}

/** What an instructor says of the day before it is planned. */
export interface PlanTerms {
  /** Minutes in a step of the plan's time. */
  readonly stepMinutes: number
  /** What reading one coupon takes of the instructor, minutes. */
  readonly readMinutes: number
  readonly shown: readonly ShownToAll[]
  /** New pieces that lie there ready, by kind; a kind that is not named is there in plenty. */
  readonly pieces: Partial<Readonly<Record<PieceKind, number>>>
  /**
   * Coupons that were welded before and are taken again, by kind: a pad for another layer, a joint cut off and bevelled
   * again. None where it is not said.
   */
  readonly again?: Partial<Readonly<Record<PieceKind, number>>>
  /** Two who may run a plate of the same kind between them: it takes one piece less. */
  readonly pairs: readonly (readonly [string, string])[]
}

/** All that a day is planned from. */
export interface PlanCase {
  /** From the beginning of the class to its end. */
  readonly minutes: number
  readonly terms: PlanTerms
  readonly students: readonly PlanStudent[]
  readonly booths: readonly PlanBooth[]
  /** Rods in the store, by kind as the rod room says it, `E7018 1/8 in`; a kind that is not kept is not counted. */
  readonly rods: Readonly<Record<string, number>>
}

/** A coupon in its place: who, in which booth, from when. Minutes since the class began. */
export interface PlannedCoupon {
  readonly studentId: string
  readonly rungId: string
  readonly nth: number
  readonly booth: number
  readonly from: number
  readonly minutes: number
  /** Put there by a person: planning again leaves it. */
  readonly pinned: boolean
}

/** The usual terms: a reading takes under a minute (common practice), and the walk to it another. */
export const USUAL_TERMS: PlanTerms = { stepMinutes: 15, readMinutes: 2, shown: [], pieces: {}, again: {}, pairs: [] }

/** How many pieces of a kind there are to weld on, new or again; infinite where the new ones were not counted. */
export const piecesThere = ({ pieces, again }: Pick<PlanTerms, 'pieces' | 'again'>, kind: PieceKind): number =>
  (pieces[kind] ?? Infinity) + (again?.[kind] ?? 0)

/** Steps of a class: what is left over at its end is for cleaning up. */
export const stepsOf = ({ minutes, terms }: Pick<PlanCase, 'minutes' | 'terms'>): number =>
  Math.floor(minutes / terms.stepMinutes)

/**
 * The steps of a class in which a coupon is welded.
 * @example stepsTaken(aDay([]), { from: 30, minutes: 45 }) // [2, 3, 4]
 */
export function stepsTaken(
  { terms: { stepMinutes } }: Pick<PlanCase, 'terms'>,
  { from, minutes }: Pick<PlannedCoupon, 'from' | 'minutes'>,
): number[] {
  const first = Math.floor(from / stepMinutes)
  return Array.from({ length: Math.ceil((from + minutes) / stepMinutes) - first }, (_, n) => first + n)
}

/** Minutes rounded up to whole steps. */
export const wholeSteps = (minutes: number, { stepMinutes }: Pick<PlanTerms, 'stepMinutes'>): number =>
  Math.ceil(minutes / stepMinutes) * stepMinutes

/** Whether two stretches of time meet, ends apart. */
export const overlaps = (
  one: { readonly from: number; readonly minutes: number },
  other: { readonly from: number; readonly minutes: number },
): boolean => one.from < other.from + other.minutes && other.from < one.from + one.minutes

/** The coupon that stands in a plan's line; undefined where the student is not there, or it serves no more. */
export const wantedOf = (
  { students }: Pick<PlanCase, 'students'>,
  { studentId, rungId, nth }: Pick<PlannedCoupon, 'studentId' | 'rungId' | 'nth'>,
): WantedCoupon | undefined =>
  students
    .find(student => student.id === studentId)
    ?.coupons.find(coupon => coupon.rungId === rungId && coupon.nth === nth)
