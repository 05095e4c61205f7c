import type { HouseRules } from '../house'
import { currentWindow, onPanel, type CurrentWindow } from '../setup'
import { runAs } from '../trade'
import type { Ticket } from './document'

/**
 * The current window of a ticket, as the panel of its machine has to show it, A: of a bead on plate as thick as this.
 * @param thicknessMm plate, mm
 * @example ticketWindow({ ...e7018Flat, panelOffsetA: 6 }, 9.5, rules) // { lowA: 104, highA: 144, source }
 */
export const ticketWindow = (
  ticket: Pick<Ticket, 'classification' | 'diameterMm' | 'make' | 'position' | 'travel' | 'polarity' | 'panelOffsetA'>,
  thicknessMm: number,
  rules: HouseRules,
): CurrentWindow =>
  onPanel(currentWindow({ ...ticket, position: runAs(ticket.position), thicknessMm }, rules), ticket.panelOffsetA)
