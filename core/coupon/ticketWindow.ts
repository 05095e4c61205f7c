import type { HouseRules } from '../house'
import { currentWindow, onPanel, type CurrentWindow } from '../setup'
import { runAs } from '../trade'
import type { Ticket } from './document'

/**
 * The current window of a ticket's rod and position, as the panel of its machine has to show it, A.
 * @example ticketWindow({ ...e7018Flat, panelOffsetA: 6 }, rules) // { lowA: 109, highA: 159, source }
 */
export const ticketWindow = (
  ticket: Pick<Ticket, 'classification' | 'diameterMm' | 'position' | 'panelOffsetA'>,
  rules: HouseRules,
): CurrentWindow =>
  onPanel(currentWindow(ticket.classification, ticket.diameterMm, runAs(ticket.position), rules), ticket.panelOffsetA)
