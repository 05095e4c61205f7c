import { electrodeOf, isFixedPipe, runAs } from '../trade'
import type { StackPlan } from '../deposit'
import type { HouseRules } from '../house'
import { houseStack, OPEN_ROOT_ROD } from '../setup'
import type { Ticket } from './document'
import { MOST_PASSES, type Pass, type PassRole } from './pass'
import { cardCurrent } from './passCard'
import { hasFarSide, hasGroove, isFilletPiece, isPlate, sectionShape, showsRoot, type Piece } from './piece'

/**
 * The bead stack that a piece is planned by; null where one bead does. @throws RangeError when the piece's sizes do
 * not go together
 */
export function stackOf(
  piece: Piece,
  ticket: Pick<Ticket, 'position' | 'diameterMm'>,
  rules: HouseRules,
): StackPlan | null {
  const shape = sectionShape(piece)
  return (
    shape &&
    houseStack(
      {
        shape,
        position: runAs(ticket.position),
        coreMm: ticket.diameterMm,
        rootCoreMm: showsRoot(piece) ? OPEN_ROOT_ROD.diameterMm : ticket.diameterMm,
        fixedPipe: isFixedPipe(ticket.position),
      },
      rules,
    )
  )
}

/** Layers of a piece, first side first: what role, and how many beads. */
function layersOf(
  piece: Piece,
  ticket: Ticket,
  rules: HouseRules,
): { face: Pass['face']; role: PassRole; beads: number }[] {
  const planned = stackOf(piece, ticket, rules)?.layers ?? [{ role: 'single' as const, beads: 1 }]
  const first = planned.map(({ role, beads }, index) => ({
    face: 'face' as const,
    beads,
    role: index === 1 && role === 'fill' && showsRoot(piece) ? ('hot' as const) : role,
  }))
  const far = planned.map(({ role, beads }) => ({
    face: 'far side' as const,
    beads,
    role: role === 'root' && !isFilletPiece(piece) ? ('fill' as const) : role,
  }))
  return hasFarSide(piece) ? [...first, ...far] : first
}

/**
 * The passes that a piece is expected to take, each set as its card says; what the ticket's own rod runs is set as
 * the ticket says.
 * A plate has none: its beads are run by the ticket alone.
 * @throws RangeError when the piece's sizes do not go together, or it takes more passes than are kept
 * @example expectedPasses({ kind: 'pipe butt', pipe: '2 Sch 80', groove }, ticket, rules).map(pass => pass.role) //
 *   ['root', 'hot', 'cap', 'cap'] with 3/32 in rods
 */
export function expectedPasses(piece: Piece, ticket: Ticket, rules: HouseRules): Pass[] {
  if (isPlate(piece)) return []
  const passes: Pass[] = []
  let layer = 0
  for (const [index, { face, role, beads }] of layersOf(piece, ticket, rules).entries()) {
    layer = index > 0 && passes.at(-1)?.face === face ? layer + 1 : 1
    for (let n = 0; n < beads; n++)
      passes.push(settle({ id: `p${passes.length + 1}`, face, layer, role }, piece, ticket, rules))
  }
  if (passes.length > MOST_PASSES)
    throw new RangeError(
      `That takes ${passes.length} passes, and at most ${MOST_PASSES} are kept: take a bigger rod, or a thinner joint`,
    )
  return passes
}

/** Sets a pass: root and hot pass of an open root by their card, all else by the ticket. */
export function settle(
  place: Pick<Pass, 'id' | 'face' | 'layer' | 'role'>,
  piece: Piece,
  ticket: Ticket,
  rules: HouseRules,
): Pass {
  const { classification, diameterMm, currentA, polarity, travel } = ticket
  const pass: Pass = { ...place, process: 'SMAW', classification, diameterMm, currentA, polarity, travel }
  const ownRod =
    (place.role === 'root' || place.role === 'hot') &&
    showsRoot(piece) &&
    hasGroove(piece) &&
    electrodeOf(classification).family !== 'cellulosic'
  if (!ownRod) return pass
  const rooted: Pass = { ...pass, ...OPEN_ROOT_ROD, polarity: 'DCEP' }
  return { ...rooted, currentA: cardCurrent({ piece, ticket }, rooted, rules).startA }
}
