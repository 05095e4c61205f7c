import { chanceOf } from './inference'
import { shows } from './network'
import type { SeenSigns } from './signs'
import { signOf } from './signTable'

/**
 * How much trouble of the next run goes away when a cause is put right: signs seen, by weight, that would no longer
 * be shown.
 * @param odds chance of each cause, in the order of `CAUSES`, taken as independent
 * @returns weighted signs, 0 or more
 */
export function gainOf({ signs }: SeenSigns, odds: readonly number[], cause: number): number {
  const without = odds.map((chance, index) => (index === cause ? 0 : chance))
  return signs.reduce(
    (sum, { id, share }) =>
      sum + signOf(id).weight * share * (chanceOf(shows(id), odds) - chanceOf(shows(id), without)),
    0,
  )
}
