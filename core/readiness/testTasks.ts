import { isTry, seamLength, showsRoot, type CouponDocument, type Pass } from '../coupon'
import type { ElementId } from '../grading'
import type { HouseRules } from '../house'
import { lieOf, MM_PER_TRY, type SkillCell } from '../progress'
import {
  STRUCTURAL,
  takenWith,
  type BendKind,
  type CodeBook,
  type SpecimenKind,
  type TestPiece,
} from '../qualification'
import { couponOf, isBend, NOBODY, specimenPlan } from '../welderTest'
import { familyOf, pieceOf } from '../trade'
import type { TestedBy } from './habits'

/**
 * A strip that is cut from a test piece and bent: face or root outward, or a slice on its side. Places along the
 * seam, mm.
 */
export interface BendStrip {
  readonly bend: BendKind
  readonly fromMm: number
  readonly toMm: number
  /** Lengths of bead that lie in it where it is stretched: half of them in a face or a root bend, all in a side. */
  readonly lengths: number
}

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
  /** How much of its element it is, as skill counts it: a try, a gauge reading, lengths of bead; toes on both sides. */
  readonly tries: number
}

/** A test piece, task by task. */
export interface TestPlan {
  readonly piece: TestPiece
  /** Whose test it is, and the visual criteria it is held to. */
  readonly bookId: string
  readonly criteriaId: string
  readonly seamMm: number
  /** The root is seen from behind; on backing it is not. */
  readonly rootSeen: boolean
  readonly strips: readonly BendStrip[]
  readonly tasks: readonly TestTask[]
}

/**
 * What a test piece asks for, as the Bench would open it: its passes, with starts, restarts, tie-ins, ends and
 * inches of bead, in the order they are welded,
 * and where a book has its bends cut.
 * @throws RangeError when the piece's sizes do not go together, or the book has no such test
 * @example testPlan(testPieceOf('plate-3g'), rules).tasks.filter(task => task.cell.element === 'restart').length
 */
export function testPlan(piece: TestPiece, rules: HouseRules, book: CodeBook = STRUCTURAL): TestPlan {
  const document = couponOf(piece, NOBODY, rules)
  const seamMm = seamLength(piece.piece)
  const rootSeen = showsRoot(piece.piece)
  const passes = new Map((document.passes ?? []).map(pass => [pass.id, pass]))
  const layers = Math.max(...[...passes.values()].map(pass => pass.layer))
  const tasks = document.beads.flatMap((bead): TestTask[] => {
    const span = { fromMm: bead.fromMm, toMm: bead.toMm }
    if (bead.face === 'root')
      return [task(piece, { ...span, pass: rootPass(document), element: 'root', depth: 'root', faceHalf: false })]
    const pass = passes.get(bead.passId!)!
    const depth: Depth = pass.role === 'cap' || pass.role === 'single' ? 'cap' : 'inside'
    const faceHalf = pass.layer > layers / 2
    const lies = { pass, depth, faceHalf }
    const tries = document.marks
      .filter(isTry)
      .filter(mark => mark.beadId === bead.id)
      .map(({ kind, atMm }) =>
        task(piece, { ...lies, element: kind === 'end' ? 'ends' : kind, fromMm: atMm, toMm: atMm }),
      )
    const run = task(piece, { ...lies, ...span, element: 'run' })
    return [...tries, run, ...(depth === 'cap' ? [task(piece, { ...lies, ...span, element: 'toes' })] : [])]
  })
  // An examiner lays the gauge on a finished weld once.
  const gauged = tasks.findLast(one => one.depth === 'cap')
  if (gauged) tasks.push({ ...gauged, cell: { ...gauged.cell, element: 'size' }, tries: 1 })
  const { specimens } = specimenPlan(book, takenWith(piece, document.passes!, rules.unit), seamMm)
  const strips = specimens.flatMap(({ kind, fromMm, toMm }) =>
    opensAs(kind) ? [bendStrip(opensAs(kind)!, { fromMm, toMm }, tasks)] : [],
  )
  return { piece, bookId: book.id, criteriaId: book.criteriaId, seamMm, rootSeen, tasks, strips }
}

/** What a strip's own edges and how it was dressed add to what lies in it, lengths of bead. Rough, common practice. */
const STRIP_ITSELF = 0.5

/** Which test a plan's piece is judged by. */
export const testedBy = ({ piece, criteriaId }: TestPlan): TestedBy => ({
  criteriaId,
  work: pieceOf(piece.piece.kind).work,
})

function bendStrip(bend: BendKind, cut: Pick<BendStrip, 'fromMm' | 'toMm'>, tasks: readonly TestTask[]): BendStrip {
  const within = ({ fromMm, toMm }: TestTask) =>
    Math.max(0, Math.min(cut.toMm, toMm) - Math.max(cut.fromMm, fromMm)) / MM_PER_TRY
  const inside = tasks.filter(one => one.cell.element === 'run').reduce((sum, one) => sum + within(one), 0)
  return { bend, ...cut, lengths: STRIP_ITSELF + (bend === 'side' ? inside : inside / 2) }
}

/**
 * Which half a specimen lays open: a fillet is broken open at its root, a nick-break through all of it; a tensile
 * and a macro say little of flaws.
 */
const opensAs = (kind: SpecimenKind): BendKind | null =>
  isBend(kind) ? kind : kind === 'fillet break' ? 'root' : kind === 'nick-break' ? 'side' : null

const rootPass = (document: CouponDocument): Pass =>
  document.passes!.find(pass => pass.role === 'root') ?? document.passes![0]!

interface Asked {
  readonly pass: Pass
  readonly element: ElementId
  readonly depth: Depth
  readonly faceHalf: boolean
  readonly fromMm: number
  readonly toMm: number
}

function task({ piece, position }: TestPiece, { pass, element, ...place }: Asked): TestTask {
  const cell: SkillCell = {
    element,
    lie: lieOf(position),
    work: pieceOf(piece.kind).work,
    rodFamily: familyOf(pass.classification),
    otherHand: false,
    otherWay: false,
  }
  const lengths = (place.toMm - place.fromMm) / MM_PER_TRY
  const tries = place.toMm === place.fromMm ? 1 : element === 'toes' ? 2 * lengths : lengths
  return { cell, pass: pass.id, role: pass.role, ...place, tries }
}
