import { electrodeOf, positionOf } from '../trade'
import type { Ticket } from '../coupon'
import { currentWindow } from './currentWindow'

/** Something on the ticket that does not fit. It marks the ticket and counts as evidence; it never blocks. */
export interface TicketRemark {
  readonly field: 'currentA' | 'polarity' | 'position' | 'travel'
  readonly finding: 'current high' | 'current low' | 'wrong polarity' | 'rod unfit for position' | 'odd travel'
  readonly text: string
  /** How far outside the window, A; 0 for what has no amount. */
  readonly byA: number
}

/**
 * Holds a ticket against the rod's window, currents and positions.
 * Source: AWS A5.1 Table 1 and annex, and common practice where a school runs otherwise.
 * @param ticket settings of one coupon; current in A, diameter in mm
 * @returns what does not fit, in order of weight; empty when all fits
 * @example checkTicket({ ...ticket, classification: 'E6010', polarity: 'DCEN' })[0].finding // 'wrong polarity'
 */
export function checkTicket(ticket: Ticket): TicketRemark[] {
  const electrode = electrodeOf(ticket.classification)
  const remarks: TicketRemark[] = []
  if (!electrode.currents.includes(ticket.polarity))
    remarks.push({ field: 'polarity', finding: 'wrong polarity', byA: 0, text: `${ticket.classification} runs on ${electrode.currents.join(' or ')}` })
  if (!electrode.positions.includes(ticket.position))
    remarks.push({ field: 'position', finding: 'rod unfit for position', byA: 0, text: `${ticket.classification} is not made for ${positionOf(ticket.position).name}` })
  if (!positionOf(ticket.position).travel.includes(ticket.travel))
    remarks.push({ field: 'travel', finding: 'odd travel', byA: 0, text: `${positionOf(ticket.position).name} runs ${positionOf(ticket.position).travel.join(' or ')}` })
  const { lowA, highA } = currentWindow(ticket.classification, ticket.diameterMm, ticket.position)
  if (ticket.currentA > highA)
    remarks.push({ field: 'currentA', finding: 'current high', byA: ticket.currentA - highA, text: `${ticket.currentA - highA} A over ${lowA}–${highA} A` })
  if (ticket.currentA < lowA)
    remarks.push({ field: 'currentA', finding: 'current low', byA: lowA - ticket.currentA, text: `${lowA - ticket.currentA} A under ${lowA}–${highA} A` })
  return remarks
}
