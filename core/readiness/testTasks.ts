import { cardJoint, isTry, newCoupon, seamLength, showsRoot, thicknessOf, type CouponDocument, type Pass } from '../coupon'
import type { ElementId } from '../grading'
import type { HouseRules } from '../house'
import { lieOf, type SkillCell } from '../progress'
import { startCurrent } from '../setup'
import { familyOf, pieceOf, runAs } from '../trade'
import type { BendStrip, TestPiece } from './testPieces'

/** Where something lies in a joint: seen on the face at the end, seen at the root, or buried. */
export type Depth = 'cap' | 'inside' | 'root'

/** One thing a test asks of the hand: a single try at a place, or a stretch of bead. Places along the seam, mm. */
export interface TestTask {
  readonly cell: SkillCell
  readonly pass: string
  readonly role: Pass['role']
  readonly depth: Depth
  /** Whether it lies in the half of the joint toward the face; the other half is stretched by a root bend. */
  readonly faceHalf: boolean
  readonly fromMm: number
  /** Equal to `fromMm` for a single try. */
  readonly toMm: number
}

/** A test piece, task by task. */
export interface TestPlan {
  readonly piece: TestPiece
  readonly seamMm: number
  /** The root is seen from behind; on backing it is not. */
  readonly rootSeen: boolean
  readonly strips: readonly BendStrip[]
  readonly tasks: readonly TestTask[]
}

/**
 * What a test piece asks for, as the Bench would open it: its passes, with starts, restarts, tie-ins, ends and inches of bead, in the order they are welded.
 * @throws RangeError when the piece's sizes do not go together
 * @example testPlan(testPieceOf('plate-3g'), rules).tasks.filter(task => task.cell.element === 'restart').length
 */
export function testPlan(piece: TestPiece, rules: HouseRules): TestPlan {
  const document = openPiece(piece, rules)
  const seamMm = seamLength(piece.piece)
  const rootSeen = showsRoot(piece.piece)
  const passes = new Map((document.passes ?? []).map(pass => [pass.id, pass]))
  const layers = Math.max(...[...passes.values()].map(pass => pass.layer))
  const tasks = document.beads.flatMap((bead): TestTask[] => {
    if (bead.face === 'root') return [stretch(piece, rootPass(document), bead.fromMm, bead.toMm, 'root', 'root', false)]
    const pass = passes.get(bead.passId!)!
    const depth: Depth = pass.role === 'cap' || pass.role === 'single' ? 'cap' : 'inside'
    const faceHalf = pass.layer > layers / 2
    const tries = document.marks.filter(isTry).filter(mark => mark.beadId === bead.id)
      .map(mark => ({ ...stretch(piece, pass, mark.atMm, mark.atMm, mark.kind === 'end' ? 'ends' : mark.kind, depth, faceHalf) }))
    return [...tries, stretch(piece, pass, bead.fromMm, bead.toMm, 'run', depth, faceHalf)]
  })
  return {
    piece, seamMm, rootSeen, tasks,
    strips: piece.strips.map(({ bend, at }) => ({ bend, fromMm: at * seamMm - piece.stripMm / 2, toMm: at * seamMm + piece.stripMm / 2 })),
  }
}

const rootPass = (document: CouponDocument): Pass => document.passes!.find(pass => pass.role === 'root') ?? document.passes![0]!

function stretch({ piece, position }: TestPiece, pass: Pass, fromMm: number, toMm: number, element: ElementId, depth: Depth, faceHalf: boolean): TestTask {
  const cell: SkillCell = { element, lie: lieOf(position), work: pieceOf(piece.kind).work, rodFamily: familyOf(pass.classification), otherHand: false, otherWay: false }
  return { cell, pass: pass.id, role: pass.role, depth, faceHalf, fromMm, toMm }
}

/** The piece as it would be opened on the Bench, whole rods, set as its card says. */
function openPiece(test: TestPiece, rules: HouseRules): CouponDocument {
  const { startA } = startCurrent({ classification: test.classification, diameterMm: test.diameterMm, position: runAs(test.position), joint: cardJoint(test.piece), pass: 'fill', thicknessMm: thicknessOf(test.piece) }, rules)
  const ticket = {
    rung: test.name, position: test.position, classification: test.classification, diameterMm: test.diameterMm, rods: 'new', currentA: startA, polarity: 'DCEP', hand: 'right', travel: test.travel, booth: null,
  } as const
  return newCoupon({ studentId: '', classDay: '2000-01-01', rulesVersion: 1, piece: test.piece, ticket, beadCount: 1 }, rules)
}
