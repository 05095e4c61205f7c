import type { HouseRules } from '../house'
import {
  electrodeOf,
  isTooLarge,
  LARGEST_OUT_OF_POSITION_MM,
  positionOf,
  runAs,
  type PositionId,
  type Polarity,
  type Travel,
} from '../trade'
import { formatLength, under } from '../units'
import { arcForceWindow } from './arcForce'
import { currentWindow } from './currentWindow'
import { onPanel, sayWindow } from './panelOffset'
import { leastPlate } from './plateFit'

/** The settings of a coupon that can be right or wrong before an arc is lit. */
export interface Settings {
  readonly classification: string
  readonly diameterMm: number
  readonly position: PositionId
  readonly travel: Travel
  readonly polarity: Polarity
  readonly currentA: number
  /** What the arc has more than the panel says, A; absent where no clamp meter was held to it. */
  readonly panelOffsetA?: number
  /** As the box says; absent where it was not said. */
  readonly make?: string
  /** Percent of the machine's scale; absent where it was not looked at. */
  readonly arcForcePercent?: number
  readonly rods: 'new' | 'stubs'
  /** Hours a low-hydrogen rod has been out of its oven; absent where it was not said. */
  readonly hoursOut?: number
  /** How long rods of that lot may be out, h; the house's hours where no lot is known. */
  readonly lot?: { readonly hoursAllowed: number }
}

export type TicketFault =
  | 'current high'
  | 'current low'
  | 'wrong polarity'
  | 'rod unfit for position'
  | 'odd travel'
  | 'plate thin'
  | 'rod exposed'
  | 'arc force high'
  | 'arc force low'
  | 'not the house’s way'

/** Something on the ticket that does not fit. It marks the ticket and counts as evidence; it never blocks. */
export interface TicketRemark {
  readonly field: 'currentA' | 'polarity' | 'arcForce' | 'position' | 'travel' | 'rod' | 'plate'
  readonly finding: TicketFault
  readonly text: string
  /** How far outside the window, A; 0 for what has no amount. */
  readonly byA: number
}

/**
 * Holds a ticket against the rod's window, currents and positions, the plate, and the house's ways.
 * Source: AWS A5.1 Table 1 and annex, house rules, and common practice where a school runs otherwise.
 * @param ticket settings of one coupon; current in A, diameter in mm
 * @param thicknessMm plate, mm
 * @returns what does not fit, in order of weight; empty when all fits
 * @example checkTicket({ ...ticket, classification: 'E6010', polarity: 'DCEN' }, 9.5, rules)[0].finding // 'wrong
 *   polarity'
 */
export function checkTicket(ticket: Settings, thicknessMm: number, rules: HouseRules): TicketRemark[] {
  return [
    ...polarityRemarks(ticket, rules),
    ...positionRemarks(ticket, rules),
    ...currentRemarks(ticket, thicknessMm, rules),
    ...arcForceRemarks(ticket, rules),
    ...rodRemarks(ticket, thicknessMm, rules),
  ]
}

const remark = (field: TicketRemark['field'], finding: TicketFault, text: string, byA = 0): TicketRemark => ({
  field,
  finding,
  text,
  byA,
})

function polarityRemarks({ classification, polarity }: Settings, { ways }: HouseRules): TicketRemark[] {
  const { currents } = electrodeOf(classification)
  if (!currents.includes(polarity))
    return [remark('polarity', 'wrong polarity', `${classification} runs on ${currents.join(' or ')}`)]
  return polarity === 'AC' && ways.machines === 'DC'
    ? [remark('polarity', 'not the house’s way', 'The house’s machines are DC only')]
    : []
}

function positionRemarks(
  { classification, diameterMm, position, travel }: Settings,
  { ways, unit }: HouseRules,
): TicketRemark[] {
  const remarks: TicketRemark[] = []
  const { name, travel: directions } = positionOf(position)
  if (!electrodeOf(classification).positions.includes(position))
    remarks.push(remark('position', 'rod unfit for position', `${classification} is not made for ${name}`))
  else if (isTooLarge(classification, diameterMm, position))
    remarks.push(
      remark(
        'position',
        'rod unfit for position',
        `${classification} over ${formatLength(LARGEST_OUT_OF_POSITION_MM, unit)} is not made for ${name}`,
      ),
    )
  if (!directions.includes(travel))
    remarks.push(remark('travel', 'odd travel', `${name} runs ${directions.join(' or ')}`))
  if (travel === 'down' && electrodeOf(classification).family === 'low hydrogen')
    remarks.push(remark('travel', 'odd travel', `${classification} is run up: downhill its slag runs under the arc`))
  if (classification === 'E6013' && travel === 'up' && ways.rutile === 'downhill')
    remarks.push(remark('travel', 'not the house’s way', 'The house runs E6013 downhill only'))
  return remarks
}

function currentRemarks(ticket: Settings, thicknessMm: number, rules: HouseRules): TicketRemark[] {
  const { currentA, panelOffsetA } = ticket
  const position = positionOf(ticket.position).runAs
  const window = onPanel(currentWindow({ ...ticket, position, thicknessMm }, rules), panelOffsetA)
  const [overA, underA] = [currentA - window.highA, window.lowA - currentA]
  const said = sayWindow(window, panelOffsetA)
  if (overA > 0) return [remark('currentA', 'current high', `${overA} A over ${said}`, overA)]
  if (underA > 0) return [remark('currentA', 'current low', `${underA} A under ${said}`, underA)]
  return []
}

function arcForceRemarks({ classification, position, arcForcePercent }: Settings, rules: HouseRules): TicketRemark[] {
  if (arcForcePercent === undefined) return []
  const { low, high } = arcForceWindow({ classification, position: runAs(position) }, rules)
  const said = `${low} to ${high} %`
  if (arcForcePercent > high)
    return [remark('arcForce', 'arc force high', `Arc force ${arcForcePercent - high} % over ${said}`)]
  if (arcForcePercent < low)
    return [remark('arcForce', 'arc force low', `Arc force ${low - arcForcePercent} % under ${said}`)]
  return []
}

function rodRemarks(
  { classification, diameterMm, rods, hoursOut, lot }: Settings,
  thicknessMm: number,
  rules: HouseRules,
): TicketRemark[] {
  const remarks: TicketRemark[] = []
  const least = leastPlate(classification, diameterMm)
  if (under(thicknessMm, least))
    remarks.push(remark('plate', 'plate thin', `This rod wants ${formatLength(least, rules.unit)} of plate or more`))
  const allowed = lot?.hoursAllowed ?? rules.exposureHours
  if (hoursOut !== undefined && hoursOut > allowed && electrodeOf(classification).family === 'low hydrogen')
    remarks.push(
      remark(
        'rod',
        'rod exposed',
        `${hoursOut} h out of the oven; ${lot ? 'such rods have' : 'the house allows'} ${allowed} h`,
      ),
    )
  if (rods === 'stubs' && rules.ways.stubDays === 'never')
    remarks.push(remark('rod', 'not the house’s way', 'The house has no stub days'))
  return remarks
}
