import type { HouseRules } from '../house'
import type { Bead, CouponDocument, Mark, Ticket } from './document'
import { isTry } from './document'
import { clampToBead } from './edit'
import { expectedPasses } from './expectedPasses'
import { expectedMarks, newCoupon } from './newCoupon'
import type { Pass } from './pass'
import { isPlate, type Piece } from './piece'

/** What of a coupon is to be otherwise. */
export interface SetUpChange {
  readonly ticket?: Ticket
  readonly piece?: Piece
  /** Beads of a plate. */
  readonly beadCount?: number
  /** Passes of a joint. */
  readonly passes?: readonly Pass[]
}

/**
 * Lays the coupon out again for a changed ticket, piece, number of beads or set of passes. What was marked on lanes
 * that remain is kept;
 * foreseen tries are foreseen anew, those that were graded stay as graded; a bead keeps its arc time and
 * where its current was turned, a joint its fit-up.
 * @throws RangeError when the beads do not fit on the plate, or the joint's sizes do not go together
 */
export function layOutAgain(document: CouponDocument, change: SetUpChange, rules: HouseRules): CouponDocument {
  const ticket = change.ticket ?? document.ticket
  const piece = change.piece ?? document.piece
  const beadCount = change.beadCount ?? (isPlate(document.piece) ? document.beads.length : 1)
  const { fitUp, passes: _, ...rest } = document
  const passes = passesAgain(document, { ...change, ticket, piece }, rules)
  const fresh = newCoupon({ ...rest, ticket, piece, beadCount, ...(passes ? { passes } : {}) }, rules)
  const before = new Map(document.beads.map(lane => [lane.id, lane]))
  const beads = fresh.beads.map(lane => {
    const { arcSeconds, turned } = before.get(lane.id) ?? {}
    return {
      ...lane,
      ...(arcSeconds !== undefined && { arcSeconds }),
      ...(turned && turned.atMm > lane.fromMm && turned.atMm < lane.toMm && { turned }),
    }
  })
  const laid = {
    ...rest,
    ticket,
    piece,
    beads,
    ...(passes ? { passes } : {}),
    ...(fitUp && piece.kind === document.piece.kind ? { fitUp } : {}),
  }
  const kept = marksAgain(document, fresh, rules)
  const keptIds = new Set(kept.map(mark => mark.id))
  return { ...laid, marks: [...fresh.marks.filter(mark => !keptIds.has(mark.id)), ...kept] }
}

/** Passes that were set by the ticket follow it; on another piece they are planned anew. */
function passesAgain(
  document: CouponDocument,
  { ticket, piece, passes }: SetUpChange & { ticket: Ticket; piece: Piece },
  rules: HouseRules,
): readonly Pass[] | undefined {
  if (isPlate(piece)) return undefined
  if (passes) return passes
  if (!document.passes || JSON.stringify(document.piece) !== JSON.stringify(piece))
    return expectedPasses(piece, ticket, rules)
  const { classification, diameterMm, currentA, polarity, travel } = document.ticket
  return document.passes.map(pass => {
    const byTicket =
      pass.classification === classification &&
      pass.diameterMm === diameterMm &&
      pass.currentA === currentA &&
      pass.polarity === polarity
    const now = byTicket
      ? {
          classification: ticket.classification,
          diameterMm: ticket.diameterMm,
          currentA: ticket.currentA,
          polarity: ticket.polarity,
        }
      : {}
    return { ...pass, ...now, travel: pass.travel === travel ? ticket.travel : pass.travel }
  })
}

function marksAgain(document: CouponDocument, fresh: CouponDocument, rules: HouseRules): Mark[] {
  const before = new Map(document.beads.map(lane => [lane.id, lane]))
  const foreseen = new Set(expectedMarks(document, rules).map(mark => mark.id))
  const turned = fresh.ticket.travel !== document.ticket.travel
  return document.marks.flatMap((mark): Mark[] => {
    if (foreseen.has(mark.id) && isTry(mark) && mark.degree === 'sound') return []
    const lane = laneAgain(fresh.beads, before.get(mark.beadId), mark)
    if (!lane) return []
    const twin = fresh.marks.find(candidate => candidate.id === mark.id)
    if (turned && twin && mark.kind !== 'flaw') return [{ ...mark, atMm: twin.atMm }]
    const at = clampToBead(lane, mark.atMm)
    return [
      mark.kind === 'flaw'
        ? { ...mark, beadId: lane.id, atMm: at, toMm: clampToBead(lane, mark.toMm) }
        : { ...mark, beadId: lane.id, atMm: at },
    ]
  })
}

/** The lane a mark stays on: its own, or the one of the same pass and side that reaches there. */
function laneAgain(lanes: readonly Bead[], before: Bead | undefined, mark: Mark): Bead | undefined {
  return (
    lanes.find(lane => lane.id === mark.beadId) ??
    lanes.find(
      lane =>
        lane.passId !== undefined &&
        lane.passId === before?.passId &&
        lane.face === before?.face &&
        mark.atMm >= lane.fromMm &&
        mark.atMm <= lane.toMm,
    )
  )
}
