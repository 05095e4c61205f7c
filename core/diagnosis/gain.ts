import { chanceOf } from './inference'
import { shows } from './network'
import type { SeenSigns } from './sign'
import { signOf, type SignId } from './signTable'

/**
 * What goes away of each sign seen when a cause is put right: its weight and share, times the fall in its chance.
 * @param odds chance of each cause, in the order of `CAUSES`, taken as independent
 */
export function gainBySign({ signs }: SeenSigns, odds: readonly number[], cause: number): Map<SignId, number> {
  const without = odds.map((chance, index) => (index === cause ? 0 : chance))
  return new Map(
    signs.map(({ id, share }) => [
      id,
      signOf(id).weight * share * (chanceOf(shows(id), odds) - chanceOf(shows(id), without)),
    ]),
  )
}

/**
 * How much trouble of the next run goes away when a cause is put right: signs seen, by weight, that would no longer
 * be shown.
 * @param odds chance of each cause, in the order of `CAUSES`, taken as independent
 * @returns weighted signs, 0 or more
 */
export const gainOf = (seen: SeenSigns, odds: readonly number[], cause: number): number =>
  [...gainBySign(seen, odds, cause).values()].reduce((sum, one) => sum + one, 0)

/** Signs named where one cause is set before a likelier one. */
const MOST_NAMED = 2

/**
 * The signs that speak for putting one cause right before another: those of which more goes away, most first.
 * @param chosen, likelier causes, by their place in `CAUSES`
 */
export function takenAwayMore(
  seen: SeenSigns,
  odds: readonly number[],
  { chosen, likelier }: { readonly chosen: number; readonly likelier: number },
): SignId[] {
  const other = gainBySign(seen, odds, likelier)
  return [...gainBySign(seen, odds, chosen)]
    .map(([id, gain]) => ({ id, more: gain - other.get(id)! }))
    .filter(row => row.more > 0)
    .sort((a, b) => b.more - a.more)
    .slice(0, MOST_NAMED)
    .map(row => row.id)
}
