import { chanceAbove } from '../statistics'
import { lcCusumChance } from './lcCusum'
import type { SignOffRule } from './signOffRule'

/**
 * The chance that a rule is met at some time within so many coupons or tries, when each is good or sound at one
 * steady rate: what a rule lets through.
 * Exact, over every state that can be reached. A rate that rises while learning does better; no rule proves that
 * somebody can weld.
 * @param rate of good coupons (or sound tries, where the rule goes by tries), 0 to 1
 * @param within coupons, or tries
 * @example signOffChance({ by: 'in a row', good: 3 }, 0.8, 3, 3) // 0.512
 */
export function signOffChance(rule: SignOffRule, rate: number, within: number, inARow: number): number {
  switch (rule.by) {
    case 'in a row': {
      const wanted = rule.good ?? inARow
      return recursion<number>(
        0,
        within,
        rate,
        (run, good) => (good ? run + 1 : 0),
        run => run >= wanted,
      )
    }
    case 'of the last':
      return ofTheLast(rule.good, rule.last, rate, within)
    case 'enough evidence':
      return recursion<string>(
        '0/0',
        within,
        rate,
        (state, good) => {
          const [sound, tried] = state.split('/').map(Number) as [number, number]
          return `${sound + (good ? 1 : 0)}/${tried + 1}`
        },
        state => {
          const [sound, tried] = state.split('/').map(Number) as [number, number]
          return tried > 0 && chanceAbove(rule.rate, sound, tried) >= rule.sure
        },
      )
    case 'LC-CUSUM':
      return lcCusumChance(rule, 1 - rate, within)
  }
}

/** Goes through all states step by step; what has met the rule stays met. */
function recursion<State>(
  first: State,
  within: number,
  rate: number,
  step: (state: State, good: boolean) => State,
  met: (state: State) => boolean,
): number {
  let states = new Map([[first, 1]])
  let through = 0
  for (let n = 0; n < within; n++) {
    const next = new Map<State, number>()
    for (const [state, chance] of states) {
      for (const good of [true, false]) {
        const reached = step(state, good)
        const share = chance * (good ? rate : 1 - rate)
        if (met(reached)) through += share
        else next.set(reached, (next.get(reached) ?? 0) + share)
      }
    }
    states = next
  }
  return through
}

/** A window of more than this is not reckoned: its states double with each coupon. */
export const LONGEST_WINDOW = 16

/**
 * The chance that some window of so many holds enough good ones. The state is the window itself, a bit each, in one
 * array of chances: what falls out of the window is dropped, what is met leaves.
 */
function ofTheLast(good: number, last: number, rate: number, within: number): number {
  if (last > LONGEST_WINDOW) throw new RangeError(`At most the last ${LONGEST_WINDOW} are looked at`)
  const size = 1 << last
  let states = new Float64Array(size)
  states[0] = 1
  let through = 0
  for (let n = 0; n < within; n++) {
    const next = new Float64Array(size)
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
