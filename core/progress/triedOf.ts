import { dayNumber, type ClassDay } from '../calendar'
import { elementOf, type Evidence } from '../grading'
import { positionOf, type Travel } from '../trade'
import { SKILL_ELEMENTS } from './skillElements'
import { isOtherWay, lieOf, MM_PER_TRY, type Tried } from './trials'

/** How a coupon was run, as far as skill goes. */
export interface CouponRun {
  readonly couponId: string
  readonly classDay: ClassDay
  readonly hand: 'right' | 'left'
  /** The student's own. */
  readonly usualHand: 'right' | 'left'
  /** Null where the ticket of its day did not say. */
  readonly travel: Travel | null
  readonly mock: boolean
  /** Who read it, by the account; left out where it is not known. */
  readonly reader?: string
}

type Counted = Pick<Evidence, 'element' | 'position' | 'work' | 'rodFamily' | 'tried' | 'sound'>

/**
 * A row of a coupon's evidence as tries: a length counts as a number of beads.
 * @param rejected marks among what was not sound that a test would reject, by the id of its criteria
 * @returns none for what no skill is kept of
 * @example triedOf({ element: 'run', tried: 304.8, … }, run)[0].tried // 2
 */
export function triedOf(row: Counted, run: CouponRun, rejected: Readonly<Record<string, number>> = {}): Tried[] {
  if (!SKILL_ELEMENTS.includes(row.element)) return []
  const perTry = elementOf(row.element).counted === 'mm' ? MM_PER_TRY : 1
  const usualWay = positionOf(row.position).travel[0]!
  return [
    {
      couponId: run.couponId,
      day: dayNumber(run.classDay),
      element: row.element,
      lie: lieOf(row.position),
      work: row.work,
      rodFamily: row.rodFamily,
      otherHand: run.hand !== run.usualHand,
      otherWay: run.travel !== null && isOtherWay(run.travel, usualWay, run.hand),
      mock: run.mock,
      tried: row.tried / perTry,
      sound: row.sound / perTry,
      ...(run.reader === undefined ? {} : { reader: run.reader }),
      ...(Object.keys(rejected).length > 0 ? { rejected } : {}),
    },
  ]
}
