import type { HouseRules } from '../house'
import { padRungs, rungSettings } from '../setup'
import { positionOf, type PieceKind, type PositionId } from '../trade'
import { inches } from '../units'
import type { CouponDocument, Hand, Ticket } from './document'
import { newCoupon } from './newCoupon'
import { isPlate, thicknessOf, usualPiece } from './piece'
import type { RunAgain } from './runAgain'

/** Who welds the next coupon, and how the last one was run; null for the first. */
export interface NextWelder {
  readonly id: string
  readonly hand: Hand
  readonly booth: number | null
  /** What the arc has more than the panel of that booth's machine says, A; absent where it is not known. */
  readonly panelOffsetA?: number
  readonly last: Omit<RunAgain, 'nextPresetDegrees'> | null
}

/** The house rules that hold on a class day. */
export interface RulesOfDay {
  readonly classDay: string
  readonly version: number
  readonly rules: HouseRules
}

/** A rung that is to be run, regardless of the last coupon. */
export interface RungToRun {
  readonly id: string
  readonly name: string
  readonly piece: PieceKind
  readonly position: PositionId
  readonly open: boolean
  readonly rods: Ticket['rods']
  readonly hand: 'own' | 'other'
}

const FIRST_PLATE = { kind: 'pad', lengthMm: inches(6), widthMm: inches(4), thicknessMm: inches(3 / 8) } as const
const FIRST_BEADS = 6

/**
 * A student's next coupon, laid out as the last one was run; the first is the ladder's first pad, by its card.
 * @param rung what is to be run, where that is another rung than the last: by its card, on a usual piece
 * @throws RangeError when the beads do not fit on the piece
 * @example nextCoupon({ id, hand: 'right', booth: 4, last: null }, { classDay, version: 0, rules }).beads.length // 6
 */
export function nextCoupon(
  { id, hand, booth, panelOffsetA = 0, last }: NextWelder,
  { classDay, version, rules }: RulesOfDay,
  rung: RungToRun | null = null,
): CouponDocument {
  if (rung && rung.name !== last?.ticket.rung) {
    const piece = usualPiece(rung.piece, rung.open)
    const ticket = atMachine(rungTicket(rung, hand, booth, thicknessOf(piece), rules), panelOffsetA)
    const beadCount = isPlate(piece) ? FIRST_BEADS : 1
    return newCoupon({ studentId: id, classDay, rulesVersion: version, ticket, piece, beadCount }, rules)
  }
  return newCoupon(
    {
      studentId: id,
      classDay,
      rulesVersion: version,
      ticket: last
        ? withOffset(ticketAgain(last.ticket, booth), panelOffsetA)
        : atMachine(firstTicket(hand, booth, rules), panelOffsetA),
      piece: last?.piece ?? FIRST_PLATE,
      beadCount: last?.beadCount ?? FIRST_BEADS,
      ...(last?.passes ? { passes: last.passes } : {}),
    },
    rules,
  )
}

/** A new student's first slip: the ladder's first pad, by its card. */
function firstTicket(hand: Hand, booth: number | null, rules: HouseRules): Ticket {
  const rung = padRungs(rules)[0]!
  return { ...rungSettings(rung, hand, FIRST_PLATE.thicknessMm, rules), rods: 'new', hand, booth }
}

/** A rung's slip by its card; a rung for the other hand is run with it. */
function rungTicket(rung: RungToRun, own: Hand, booth: number | null, thicknessMm: number, rules: HouseRules): Ticket {
  const other = own === 'right' ? 'left' : 'right'
  const hand = rung.hand === 'own' ? own : other
  const settings = rungSettings({ ...rung, travel: positionOf(rung.position).travel[0]! }, hand, thicknessMm, rules)
  return { ...settings, rungId: rung.id, rods: rung.rods, hand, booth }
}

const withOffset = (ticket: Ticket, panelOffsetA: number): Ticket =>
  panelOffsetA === 0 ? ticket : { ...ticket, panelOffsetA }

/** A card's amperes as the panel of a machine has to show them. */
const atMachine = (ticket: Ticket, panelOffsetA: number): Ticket =>
  withOffset({ ...ticket, currentA: ticket.currentA - panelOffsetA }, panelOffsetA)

/**
 * The last slip once more. How long its rods had been out was that day's, and the machine may be another: then its arc
 * force is not known.
 */
function ticketAgain({ hoursOut: _, lot: __, panelOffsetA: ___, ...last }: Ticket, booth: number | null): Ticket {
  const { arcForcePercent, ...ticket } = last
  const sameMachine = booth === null || booth === ticket.booth
  return {
    ...ticket,
    booth: booth ?? ticket.booth,
    ...(sameMachine && arcForcePercent !== undefined && { arcForcePercent }),
  }
}
