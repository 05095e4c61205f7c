import { isPlate, type CouponDocument } from '../coupon'
import type { HouseRules } from '../house'
import type { Cause } from './causes'

/** Drills that are run on the piece itself, of any kind. */
const ON_ANY_PIECE: ReadonlySet<Cause['id']> = new Set([
  'gap wide',
  'gap tight',
  'root far out',
  'out of line',
  'blunt tack',
  'arc force',
  'off the joint',
  'bead thin',
  'arc blow',
  'clamp',
  'draught',
  'polarity',
  'rod unfit',
])

/**
 * What to run to learn it: the cause's own drill on a pad. On a joint or a pipe it is the piece itself again, and there
 * is nothing more to say; a pad teaches no root, and a house without stub days has none in its drills.
 * @returns null where the next of the same piece is the drill
 * @example drillFor(causeOf('aim'), pipe, rules) // null
 */
export function drillFor(cause: Cause, { piece }: CouponDocument, rules: HouseRules): string | null {
  if (!isPlate(piece) && !ON_ANY_PIECE.has(cause.id)) return null
  return rules.ways.stubDays === 'never' ? cause.drill.replace(' on stubs', '') : cause.drill
}
