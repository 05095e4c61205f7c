import type { CouponDocument } from '../coupon'
import type { Between, HouseRules } from '../house'
import { currentWindow } from '../setup'
import { runAs } from '../trade'
import { formatLength } from '../units'
import type { Cause } from './causes'

const degrees = ({ low, high }: Between) => (low === high ? `${low} degrees` : `${low} to ${high} degrees`)

/**
 * The one change for the next run, with its figure where it has one: amperes, degrees, or a length by the house's
 * rules.
 * @param strong the cause stands clear, so that the step may be a big one
 * @example changeFor(causeOf('current high'), document, rules, true) // 'Down 10 A to 125 A'
 */
export function changeFor(cause: Cause, document: CouponDocument, rules: HouseRules, strong: boolean): string {
  const { ticket } = document
  const lies = runAs(ticket.position)
  switch (cause.id) {
    case 'current high':
    case 'current low':
      return currentChange(cause.id === 'current low' ? 1 : -1, document, rules, strong)
    case 'arc long':
      return `Close the arc to ${formatLength(rules.arcCores * ticket.diameterMm, rules.unit)} at most`
    case 'travel angle':
      if (lies === '3G' && ticket.travel === 'up')
        return `Push no more than ${Math.round(rules.pushVerticalDegrees.high)} degrees`
      if (lies === '4G')
        return `Rod straight in: lean it no more than ${Math.round(rules.dragOverheadDegrees.high)} degrees`
      return `Lean the rod ${degrees(rules.dragFlatDegrees)}, no more`
    case 'upright rod':
      return `Drag the rod ${degrees(rules.dragFlatDegrees)}`
    case 'work angle':
      return lies === '2G' ? `Point the rod ${degrees(rules.upHorizontalDegrees)} up` : cause.change
    default:
      return cause.change
  }
}

/**
 * Ten amperes where the cause stands clear, else five; never out of the rod's window, and back into it from
 * outside.
 */
function currentChange(way: 1 | -1, { ticket }: CouponDocument, rules: HouseRules, strong: boolean): string {
  const { lowA, highA } = currentWindow(ticket.classification, ticket.diameterMm, runAs(ticket.position), rules)
  const step = strong ? 10 : 5
  const inside = Math.min(Math.max(ticket.currentA + way * step, lowA), highA)
  const next = (inside - ticket.currentA) * way > 0 ? inside : ticket.currentA + way * 5
  return `${way > 0 ? 'Up' : 'Down'} ${Math.abs(next - ticket.currentA)} A to ${next} A`
}
