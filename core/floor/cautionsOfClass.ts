import type { CouponDocument } from '../coupon'
import type { HouseRules } from '../house'
import { cautionTopics } from '../setup'
import { cautionsFor, isFixedPipe, runAs, type Caution } from '../trade'

/** A coupon pass by pass, as far as cautions go; one without passes by its ticket. */
function runsOf({ ticket, passes }: Pick<CouponDocument, 'ticket' | 'passes'>): Parameters<typeof cautionTopics>[0][] {
  const run = { position: runAs(ticket.position), rods: ticket.rods, travel: ticket.travel }
  if (!passes) return [{ ...run, classification: ticket.classification, pass: 'bead' }]
  return passes.map(({ classification, role }) => ({ ...run, classification, pass: role === 'single' ? 'bead' : role }))
}

/**
 * The cautions for a class that is going to run coupons like these.
 * @example cautionsOfClass([overheadPad], rules).some(one => one.topic === 'overhead') // true
 */
export function cautionsOfClass(
  coupons: readonly Pick<CouponDocument, 'ticket' | 'passes'>[],
  rules: HouseRules,
): Caution[] {
  const topics = coupons.flatMap(coupon => [
    ...runsOf(coupon).flatMap(run => cautionTopics(run, rules)),
    ...(isFixedPipe(coupon.ticket.position) ? (['fixed pipe'] as const) : []),
  ])
  return cautionsFor([...new Set(topics)])
}
