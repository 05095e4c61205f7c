import { alikeSuccesses } from '../statistics'
import { lcCusumChance, type CouponTries } from './lcCusum'
import { sureOf, USUALLY_ALIKE, type SignOffRule } from './signOffRule'

/** How the tries of a rule that goes by tries come: in how many coupons, and how alike those of one are. */
export interface Spread {
  readonly coupons: number
  /** Correlation of two tries of a coupon, 0 to under 1. */
  readonly alike: number
}
/** Of a rung of the shipped ladders. */
const USUAL_SPREAD: Spread = { coupons: 4, alike: USUALLY_ALIKE }

/**
 * The chance that a rule is met at some time within a number of coupons or tries: what it lets through.
 * Exact, over every state that can be reached. A hand that learns is let through as its rates are on the way; no rule
 * proves that a student can weld.
 * @param rate of good coupons (or sound tries, where the rule goes by tries), 0 to 1: a steady one, or that of the nth
 *   coupon, from 0
 * @param within coupons, or tries
 * @param spread of tries over coupons, where the rule goes by tries
 * @example signOffChance({ by: 'in a row', good: 3 }, 0.8, 3, 3) // 0.512
 */
export function signOffChance(
  rule: SignOffRule,
  rate: number | ((coupon: number) => number),
  within: number,
  inARow: number,
  { coupons, alike }: Spread = USUAL_SPREAD,
): number {
  const rateAt = typeof rate === 'number' ? () => rate : rate
  const each = Math.max(1, Math.round(within / coupons))
  switch (rule.by) {
    case 'in a row': {
      const wanted = rule.good ?? inARow
      return recursion<number>(
        0,
        within,
        n => alikeSuccesses(1, rateAt(n), 0),
        (run, good) => (good ? run + 1 : 0),
        run => run >= wanted,
      )
    }
    case 'of the last':
      return ofTheLast(rule.good, rule.last, rateAt, within)
    case 'enough evidence':
      return recursion<string>(
        '0/0',
        Math.ceil(within / each),
        n => alikeSuccesses(each, rateAt(n), alike),
        (state, own) => {
          const [sound, looked] = state.split('/').map(Number) as [number, number]
          return `${sound + own}/${looked + 1}`
        },
        state => {
          const [sound, looked] = state.split('/').map(Number) as [number, number]
          // Coupons of equal tries tell the same as their mean, once for each coupon.
          const mean = { tried: each, sound: sound / looked }
          return looked > 0 && sureOf(rule, new Array<CouponTries>(looked).fill(mean), alike) >= rule.sure
        },
      )
    case 'LC-CUSUM':
      return lcCusumChance(rule, n => 1 - rateAt(n), { coupons: Math.ceil(within / each), each, alike })
  }
}

/**
 * A hand that learns up to a plateau, and no further: the rate of good coupons at the nth, from 0.
 * @param from the first rate; @param to the plateau; @param over coupons in which most of it is learned
 */
export const risingTo =
  (from: number, to: number, over: number) =>
  (coupon: number): number =>
    to - (to - from) * Math.exp(-coupon / over)

/** Goes through all states step by step; what has met the rule stays met. */
function recursion<State>(
  first: State,
  within: number,
  chancesAt: (n: number) => readonly number[],
  step: (state: State, sound: number) => State,
  met: (state: State) => boolean,
): number {
  let states = new Map([[first, 1]])
  let through = 0
  for (let n = 0; n < within; n++) {
    const next = new Map<State, number>()
    const chances = chancesAt(n)
    for (const [state, chance] of states) {
      chances.forEach((own, sound) => {
        const reached = step(state, sound)
        if (met(reached)) through += chance * own
        else next.set(reached, (next.get(reached) ?? 0) + chance * own)
      })
    }
    states = next
  }
  return through
}

/** A window of more than this is not reckoned: its states double with each coupon. */
export const LONGEST_WINDOW = 16

/**
 * The chance that some window of the last coupons holds enough good ones. The state is the window itself, a bit each,
 * in one array of chances: what falls out of the window is dropped, what is met leaves.
 */
function ofTheLast(good: number, last: number, rateAt: (n: number) => number, within: number): number {
  if (last > LONGEST_WINDOW) throw new RangeError(`At most the last ${LONGEST_WINDOW} are looked at`)
  const size = 1 << last
  let states = new Float64Array(size)
  states[0] = 1
  let through = 0
  for (let n = 0; n < within; n++) {
    const next = new Float64Array(size)
    const rate = rateAt(n)
    for (let state = 0; state < size; state++) {
      const chance = states[state]!
      if (chance === 0) continue
      const older = (state << 1) & (size - 1)
      next[older]! += chance * (1 - rate)
      if (goodIn(older | 1) >= good) through += chance * rate
      else next[older | 1]! += chance * rate
    }
    states = next
  }
  return through
}

/** Bits that are set. */
function goodIn(window: number): number {
  let count = 0
  for (let rest = window; rest > 0; rest &= rest - 1) count++
  return count
}
