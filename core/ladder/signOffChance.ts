import { chanceAbove } from '../progress'
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
      return recursion<string>(
        '',
        within,
        rate,
        (last, good) => `${last}${good ? '1' : '0'}`.slice(-rule.last),
        last => [...last].filter(one => one === '1').length >= rule.good,
      )
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
