import type { Ladder, LadderRung } from './ladder'
import { rungsInUse } from './ladder'
import { rungFinder } from './rungFinder'
import { signOffState, type RungCoupon, type SignOffState } from './signOffRule'

/** A coupon as the ladder sees it. */
export interface ClimbCoupon extends RungCoupon {
  /** The rung of its ticket, in the school's words of that day. */
  readonly rung: string
  /** The rung's id, where the ticket says it. */
  readonly rungId?: string
  /** Local date, ISO 8601. */
  readonly classDay: string
}

/** A rung with a student's name on it. */
export interface SignedOff {
  readonly rungId: string
}

/** Signed off; may be signed off; being worked on or open to; or waiting for what it needs. */
export type RungStatus = 'signed off' | 'ready' | 'open' | 'not yet'

/** Where a student stands on one rung. */
export interface RungState extends SignOffState {
  readonly rungId: string
  readonly status: RungStatus
  readonly coupons: number
  readonly good: number
  /** Day of the last coupon on it; null before the first. */
  readonly lastDay: string | null
  /**
   * Coupons run on it since it was first run, while it is neither signed off nor ready: how long a student is stuck.
   */
  readonly stuck: number
  /** Coupons run since its rule was first met; 0 while it is not. */
  readonly since: number
}

/** A sign-off is late this number of coupons after its rule was met, or more. Common practice. */
const LATE = 4

/** Whether signing a rung off now is out of turn, so that it needs a reason. */
export const outOfTurn = ({ met, since }: Pick<RungState, 'met' | 'since'>): 'early' | 'late' | null =>
  !met ? 'early' : since >= LATE ? 'late' : null

/**
 * Where a student stands on every rung in use, in the ladder's order. A coupon counts for the rung of its ticket.
 * @param coupons oldest first
 * @param inARow how many the house rules want in a row
 * @param former the ladders there were before, newest first: rungs as they were once called
 * @example climb(FULL_LADDER, [], [], 3)[0].status // 'open'
 */
export function climb(
  ladder: Ladder,
  coupons: readonly ClimbCoupon[],
  signedOff: readonly SignedOff[],
  inARow: number,
  former: readonly Ladder[] = [],
): RungState[] {
  const signed = new Set(signedOff.map(row => row.rungId))
  const rungOf = rungFinder(ladder, former)
  const byRung = new Map<string, ClimbCoupon[]>()
  for (const coupon of coupons) {
    const id = rungOf(coupon)
    if (id === null) continue
    const own = byRung.get(id) ?? []
    own.push(coupon)
    byRung.set(id, own)
  }
  return rungsInUse(ladder).map(rung => {
    const own = byRung.get(rung.id) ?? []
    const state = signOffState(rung.signOff, own, inARow)
    const status = statusOf(rung, state, own.length > 0, signed)
    return {
      ...state,
      rungId: rung.id,
      status,
      coupons: own.length,
      good: own.filter(coupon => coupon.good).length,
      lastDay: own.at(-1)?.classDay ?? null,
      stuck: status === 'open' ? own.length : 0,
      since: state.met ? sinceMet(rung, own, inARow) : 0,
    }
  })
}

function sinceMet(rung: LadderRung, coupons: readonly ClimbCoupon[], inARow: number): number {
  const first = coupons.findIndex((_, n) => signOffState(rung.signOff, coupons.slice(0, n + 1), inARow).met)
  return first < 0 ? 0 : coupons.length - 1 - first
}

function statusOf(rung: LadderRung, state: SignOffState, begun: boolean, signed: ReadonlySet<string>): RungStatus {
  if (signed.has(rung.id)) return 'signed off'
  if (state.met) return 'ready'
  return begun || rung.needs.every(id => signed.has(id)) ? 'open' : 'not yet'
}

/**
 * The rung a student is on: the one run last that is not signed off, else the first that is open; undefined when
 * all are done.
 */
export function currentRung(states: readonly RungState[]): RungState | undefined {
  const left = states.filter(state => state.status !== 'signed off')
  const begun = left.filter(state => state.lastDay !== null).sort((a, b) => b.lastDay!.localeCompare(a.lastDay!))
  return begun[0] ?? left.find(state => state.status === 'open')
}
