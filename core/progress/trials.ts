import type { ElementId } from '../grading'
import { isFixedPipe, runAs, type PadPosition, type PositionId, type RodFamily, type Travel, type Work } from '../trade'

/**
 * How the pool lies: as a pad lies, or all the way round a fixed pipe. Skill is kept by it: a position is not
 * learned on another one.
 */
export type Lie = PadPosition | 'round the pipe'
export const LIES: readonly Lie[] = ['1G', '2G', '3G', '4G', 'round the pipe']

/** @example lieOf('2F') // '2G' */
export const lieOf = (position: PositionId): Lie => (isFixedPipe(position) ? 'round the pipe' : runAs(position))

/** What one element of one coupon was welded on, and with what. */
export interface SkillCell {
  readonly element: ElementId
  readonly lie: Lie
  readonly work: Work
  readonly rodFamily: RodFamily
  /** Not the student's usual hand; against the position's usual way. */
  readonly otherHand: boolean
  readonly otherWay: boolean
}

/** Tries of one element on one coupon, in tries or their like: a length counts as a number of beads. */
export interface Tried extends SkillCell {
  readonly couponId: string
  /** Days since the beginning of 1970, of the local date. */
  readonly day: number
  readonly tried: number
  readonly sound: number
  readonly mock: boolean
  /** Who read the coupon, by the account; left out where it is not known. */
  readonly reader?: string
  /**
   * Marks among what was not sound that a test would reject, by the id of its visual criteria, and what may open in a
   * bend; left out where there are none.
   */
  readonly rejected?: Readonly<Record<string, number>>
}

/** Tries, with what had been practised before them. */
export interface Trial extends Tried {
  /** Coupons run before this one, in all and as the pool lay here. */
  readonly before: number
  readonly beforeHere: number
  /** Days since the class day before; 0 on the first. */
  readonly restDays: number
}

/**
 * Millimetres of bead that count as one try: inches of one bead go well or badly together.
 * Common practice: a 6 in bead.
 */
export const MM_PER_TRY = 152.4

/** Whether a travel is against the usual way of a position. @param usual the first of the position's ways */
export const isOtherWay = (travel: Travel, usual: Travel, hand: 'right' | 'left'): boolean =>
  usual === 'up' ? travel === 'down' : (travel === 'left to right') !== (hand === 'right')

/**
 * Adds to each row what its student had practised before.
 * @param rows of one student, oldest first, rows of a coupon together
 */
export function withHistory(rows: readonly Tried[]): Trial[] {
  const coupons = new Set<string>()
  const here = new Map<Lie, Set<string>>()
  let [today, last] = [rows[0]?.day ?? 0, rows[0]?.day ?? 0]
  return rows.map(row => {
    if (row.day > today) [last, today] = [today, row.day]
    const own = here.get(row.lie) ?? new Set<string>()
    here.set(row.lie, own)
    const practice = {
      ...row,
      before: coupons.size - (coupons.has(row.couponId) ? 1 : 0),
      beforeHere: own.size - (own.has(row.couponId) ? 1 : 0),
      restDays: row.day === last ? 0 : today - last,
    }
    coupons.add(row.couponId)
    own.add(row.couponId)
    return practice
  })
}
