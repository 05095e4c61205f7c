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
 * that no coupon was read of belong to no student. Source: arithmetic; the rods alone, neither plate nor gas nor time.
 * @param dayOf the class day of a moment
 */
export function couponCosts(
  movements: readonly RodMovement[],
  lots: readonly RodLot[],
  runs: readonly CouponsRun[],
  dayOf: (moment: string) => ClassDay,
): CouponCosts {
  const whole = sharedOut(movements, lots, runs, dayOf).filter(one => one.whole)
  const taken = whole.map(({ run, shares }) => {
    const hasPrice = shares.every(({ cents }) => cents !== null)
    return {
      run,
      coupons: run.coupons,
      rods: shares.reduce((sum, { rods }) => sum + rods, 0),
      priced: hasPrice ? run.coupons : 0,
      cents: hasPrice ? shares.reduce((sum, { cents }) => sum + cents!, 0) : 0,
    }
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

/** Coupons with what they took of each kind of rod. */
export interface RunWithRods {
  readonly run: CouponsRun
  /** All of their rods are in the book. */
  readonly whole: boolean
  readonly shares: readonly { readonly kind: string; readonly rods: number; readonly cents: number | null }[]
}

/**
 * What each run of coupons took of what was drawn that day: by how many coupons were run with the same kind. Runs of
 * which no rod is in the book are left out.
 * @param dayOf the class day of a moment
 */
export function sharedOut(
  movements: readonly RodMovement[],
  lots: readonly RodLot[],
  runs: readonly CouponsRun[],
  dayOf: (moment: string) => ClassDay,
): RunWithRods[] {
  const burnt = burntByDay(movements, lots, dayOf)
  const sharing = new Map<string, number>()
  const each = (run: CouponsRun) => run.kinds.map(kind => ({ kind, key: keyOf(run.studentId, run.classDay, kind) }))
  for (const run of runs) for (const { key } of each(run)) sharing.set(key, (sharing.get(key) ?? 0) + run.coupons)
  return runs.flatMap(run => {
    const kinds = each(run)
    const shares = kinds.flatMap(({ kind, key }) => {
      const { rods, cents } = burnt.get(key) ?? { rods: 0, cents: null }
      const share = run.coupons / sharing.get(key)!
      return rods > 0 ? [{ kind, rods: rods * share, cents: cents === null ? null : cents * share }] : []
    })
    return shares.length > 0 ? [{ run, shares, whole: shares.length === kinds.length }] : []
  })
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
