import { electrodeOf, isMade, notMade, pieceOf, positionOf, positionsFor, type PositionId } from '../trade'
import { jointSection } from '../deposit'
import type { CouponDocument, Ticket } from './document'
import { isPlate, sectionShape, type Piece } from './piece'

/** Something that cannot be: which part of the coupon, and why. */
export interface Refusal {
  readonly field: 'position' | 'classification' | 'travel' | 'piece' | 'passes'
  readonly why: string
}

const list = (words: readonly string[]) =>
  words.length > 1 ? `${words.slice(0, -1).join(', ')} or ${words.at(-1)}` : words.join('')

/**
 * Why a piece cannot be welded as the ticket and its passes say; empty when it can. What is merely unwise is no
 * refusal: see `checkTicket`.
 * Source: AWS A3.0 positions; AWS A5.1 positions of electrodes; both from memory.
 * @example refusals({ piece: pad, ticket: { ...ticket, position: '5G' } })[0].why // 'A pad is welded in 1G, 2G, 3G
 *   or 4G; 5G is pipe level'
 */
export function refusals({
  piece,
  ticket,
  passes = [],
}: {
  piece: Piece
  ticket: Pick<Ticket, 'position' | 'travel' | 'classification' | 'diameterMm'>
  passes?: CouponDocument['passes']
}): Refusal[] {
  const found: Refusal[] = []
  const allowed = positionsFor(piece.kind)
  const { id, name, travel } = positionOf(ticket.position)
  if (!allowed.includes(id))
    found.push({
      field: 'position',
      why: `A ${pieceOf(piece.kind).name} is welded in ${list(allowed)}; ${id} is ${name}`,
    })
  const unfit = unfitRod(ticket, ticket.position)
  if (unfit) found.push({ field: 'classification', why: unfit })
  const ways = isPlate(piece) ? [] : [ticket.travel, ...passes.map(pass => pass.travel)]
  const wrongWay = ways.find(way => !travel.includes(way))
  if (wrongWay && found.length === 0)
    found.push({ field: 'travel', why: `${id} runs ${list(travel)}, not ${wrongWay}` })
  return [...found, ...passRefusals(ticket.position, passes), ...sizeRefusals(piece)]
}

/** A rod that is not to be had, or will not hold in a position; null when it is, and will. */
function unfitRod(
  { classification, diameterMm }: Pick<Ticket, 'classification' | 'diameterMm'>,
  position: PositionId,
): string | null {
  if (!isMade(classification, diameterMm)) return notMade(classification, diameterMm)
  return electrodeOf(classification).positions.includes(position)
    ? null
    : `${classification} is made for flat work and horizontal fillets; in ${position} it will not stay put`
}

function passRefusals(position: PositionId, passes: NonNullable<CouponDocument['passes']>): Refusal[] {
  return passes.flatMap((pass, index): Refusal[] => {
    const why =
      pass.process === 'GTAW'
        ? pass.role === 'root' || pass.role === 'hot'
          ? null
          : `Pass ${index + 1} is ${pass.role}: GTAW is kept for roots and hot passes`
        : unfitRod(pass, position)
    return why ? [{ field: 'passes', why }] : []
  })
}

function sizeRefusals(piece: Piece): Refusal[] {
  try {
    const shape = sectionShape(piece)
    if (shape) jointSection(shape)
    return []
  } catch (error) {
    return [{ field: 'piece', why: (error as Error).message }]
  }
}
