import { isPlate, type CouponDocument } from '../coupon'
import type { HouseRules } from '../house'
import { isFixedPipe, pieceOf } from '../trade'
import type { Cause } from './causes'

/** Drills that are run on the piece itself, whatever it is. */
const ON_ANY_PIECE: ReadonlySet<Cause['id']> = new Set([
  'gap wide',
  'gap tight',
  'root far out',
  'out of line',
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
 * What to run to learn it: the cause's own drill on a pad; on a joint or a pipe the piece itself again, with that one
 * thing in mind. A pad teaches no root, and a house without stub days has none in its drills.
 * @example drillFor(causeOf('aim'), pipe, rules) // 'the next quarter like it, that one thing alone'
 */
export function drillFor(cause: Cause, { piece, ticket }: CouponDocument, rules: HouseRules): string {
  if (isPlate(piece) || ON_ANY_PIECE.has(cause.id))
    return rules.ways.stubDays === 'never' ? cause.drill.replace(' on stubs', '') : cause.drill
  if (isFixedPipe(ticket.position)) return 'the next quarter like it, that one thing alone'
  return `another ${pieceOf(piece.kind).name}, that one thing alone`
}
