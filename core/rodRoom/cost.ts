import type { ClassDay } from '../calendar'
import { kindOf } from './use'
import type { RodLot } from './lot'
import type { RodMovement } from './movements'

/** Coupons of one student on one class day that were run alike. */
export interface CouponsRun {
  readonly studentId: string
  readonly classDay: ClassDay
  /** The rung of the ladder, in the school's words. */
  readonly rung: string
  /** Run under test terms. */
  readonly mock: boolean
  /** The rods they were run with, as `kindOf` says them: a root and its fill may be of two. */
  readonly kinds: readonly string[]
  readonly coupons: number
}

/** What a number of coupons took. */
export interface RodsTaken {
  readonly coupons: number
  readonly rods: number
  /** Of these coupons, those whose rods all came from boxes with a price: the money is theirs alone. */
  readonly priced: number
  /** What the priced ones took, in hundredths of the school's own currency. */
  readonly cents: number
}

/** What coupons cost in rods, all together and by what they were run for and by whom; the dearest a coupon first. */
export interface CouponCosts {
  readonly all: RodsTaken
  readonly mocks: RodsTaken
  readonly byRung: readonly (RodsTaken & { readonly rung: string })[]
  readonly byStudent: readonly (RodsTaken & { readonly studentId: string })[]
}

/** Rods of one kind that one student burnt on one day. */
interface Burnt {
  rods: number
  cents: number | null
}

const keyOf = (studentId: string, classDay: ClassDay, kind: string) => `${studentId} ${classDay} ${kind}`

/**
 * What coupons cost in rods: what a student drew of a kind on a class day, less what came back whole, shared out over
 * the coupons that the student ran with it that day. A coupon counts only where all of its rods are in the book; rods
 * that no coupon was read of are nobody's. Source: arithmetic; the rods alone, neither plate nor gas nor time.
 * @param dayOf the class day of a moment
 */
export function couponCosts(
  movements: readonly RodMovement[],
  lots: readonly RodLot[],
  runs: readonly CouponsRun[],
  dayOf: (moment: string) => ClassDay,
): CouponCosts {
  const burnt = burntByDay(movements, lots, dayOf)
  const sharing = new Map<string, number>()
  const each = (run: CouponsRun) => run.kinds.map(kind => keyOf(run.studentId, run.classDay, kind))
  for (const run of runs) for (const key of each(run)) sharing.set(key, (sharing.get(key) ?? 0) + run.coupons)
  const taken = runs.flatMap(run => {
    const keys = each(run)
    if (keys.length === 0 || keys.some(key => !((burnt.get(key)?.rods ?? 0) > 0))) return []
    const shares = keys.map(key => ({ of: burnt.get(key)!, share: run.coupons / sharing.get(key)! }))
    const hasPrice = shares.every(({ of }) => of.cents !== null)
    return [
      {
        run,
        coupons: run.coupons,
        rods: shares.reduce((sum, { of, share }) => sum + of.rods * share, 0),
        priced: hasPrice ? run.coupons : 0,
        cents: hasPrice ? shares.reduce((sum, { of, share }) => sum + of.cents! * share, 0) : 0,
      },
    ]
  })
  const groups = (name: (run: CouponsRun) => string) =>
    [...new Set(taken.map(one => name(one.run)))]
      .map(key => ({ key, ...summed(taken.filter(one => name(one.run) === key)) }))
      .sort((a, b) => b.rods / b.coupons - a.rods / a.coupons || a.key.localeCompare(b.key))
  return {
    all: summed(taken),
    mocks: summed(taken.filter(one => one.run.mock)),
    byRung: groups(run => run.rung).map(({ key: rung, ...row }) => ({ rung, ...row })),
    byStudent: groups(run => run.studentId).map(({ key: studentId, ...row }) => ({ studentId, ...row })),
  }
}

function summed(taken: readonly RodsTaken[]): RodsTaken {
  const total = (of: keyof RodsTaken) => taken.reduce((sum, one) => sum + one[of], 0)
  return { coupons: total('coupons'), rods: total('rods'), priced: total('priced'), cents: total('cents') }
}

/** What each student burnt of each kind, by the day on which it was drawn: rods may come back on another. */
function burntByDay(
  movements: readonly RodMovement[],
  lots: readonly RodLot[],
  dayOf: (moment: string) => ClassDay,
): ReadonlyMap<string, Burnt> {
  const known = new Map(lots.map(lot => [lot.id, lot]))
  const drawn = new Map(movements.filter(line => line.kind === 'issued').map(line => [line.id, line]))
  const burnt = new Map<string, Burnt>()
  for (const line of movements) {
    if (line.kind !== 'issued' && line.kind !== 'returned') continue
    const first = drawn.get(line.handfulId ?? line.id)
    const lot = known.get(line.lotId)
    if (!first?.studentId || !lot) continue
    const key = keyOf(first.studentId, dayOf(first.at), kindOf(lot))
    const before = burnt.get(key) ?? { rods: 0, cents: 0 }
    const cents = lot.boxPriceCents === null ? null : (-line.rods * lot.boxPriceCents) / lot.rodsInBox
    burnt.set(key, {
      rods: before.rods - line.rods,
      cents: before.cents === null || cents === null ? null : before.cents + cents,
    })
  }
  return burnt
}
