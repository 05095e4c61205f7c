import { isTry, nextCoupon, showsRoot, usualPiece, type RungToRun } from '../coupon'
import type { ElementId } from '../grading'
import { DEFAULT_HOUSE_RULES } from '../house'
import { lieOf } from '../progress'
import type { TestPiece } from '../qualification'
import { pieceOf, type PieceKind, type PositionId, type Work } from '../trade'
import { inches } from '../units'

/** The work of a coupon, as a test piece is like it or not. */
export interface PractisedWork {
  readonly piece: PieceKind
  readonly position: PositionId
  /** Its root is seen: an open root, or a pipe's. */
  readonly rootSeen: boolean
}

/** What a student has in the hand is learned on any work, mostly; how a joint fills is learned on that joint. */
const IN_THE_HAND: ReadonlySet<ElementId> = new Set(['start', 'restart', 'ends'])
/** The share of a start or restart on a pad that serves in a groove. Rough. */
const IN_ANOTHER_JOINT = 0.7

/**
 * What a coupon of another lie brings to the test's own. Common practice: a restart learned flat is half a restart
 * overhead.
 */
const OTHER_LIE = 0.45
/** Two positions in which the pool lies alike, as 5G and 6G. Rough. */
const ALIKE_LIE = 0.9
/** The same joint prepared otherwise, and one joint for another: a fillet teaches little of a groove. Rough. */
const OTHER_ROOT = 0.8
const GROOVE_FOR_PIPE = 0.7
const OTHER_JOINT = 0.3
/** A root on other work, where one is seen. Rough. */
const OTHER_ROOT_WORK = 0.6

const isGrooved = (work: Work) => work === 'groove' || work === 'pipe'

/** The work of a test piece. */
export const workOfTest = ({ piece, position }: TestPiece): PractisedWork => ({
  piece: piece.kind,
  position,
  rootSeen: showsRoot(piece),
})
/** The work of a rung. */
export const workOfRung = ({
  piece,
  position,
  open,
}: Pick<RungToRun, 'piece' | 'position' | 'open'>): PractisedWork => ({
  piece,
  position,
  rootSeen: showsRoot(usualPiece(piece, open)),
})

/** Whether work is the test's own joint, in its own position, with its own root. */
export const isOwnJoint = (work: PractisedWork, test: PractisedWork): boolean =>
  work.piece === test.piece && work.position === test.position && work.rootSeen === test.rootSeen

function jointLikeness(work: PractisedWork, test: PractisedWork): number {
  if (work.piece === test.piece) return work.rootSeen === test.rootSeen ? 1 : OTHER_ROOT
  const [own, tests] = [pieceOf(work.piece).work, pieceOf(test.piece).work]
  if (isGrooved(own) && isGrooved(tests)) return GROOVE_FOR_PIPE
  return own === tests && own !== 'plate' ? OTHER_ROOT : OTHER_JOINT
}

/**
 * How much of what an element learns on some work is of use at a test piece, 0 to 1.
 * @example likeness(workOfRung(pad2G), workOfTest(testPieceOf('plate-2g')), 'run') // 0.3
 */
export function likeness(work: PractisedWork, test: PractisedWork, element: ElementId): number {
  const lies =
    work.position === test.position ? 1 : lieOf(work.position) === lieOf(test.position) ? ALIKE_LIE : OTHER_LIE
  if (element === 'root') return work.rootSeen ? lies * (work.piece === test.piece ? 1 : OTHER_ROOT_WORK) : 0
  const joint = jointLikeness(work, test)
  return lies * (IN_THE_HAND.has(element) ? Math.max(joint, IN_ANOTHER_JOINT) : joint)
}

/** Tries and inches that make a pad's worth of practice: six beads of six inches, each started and ended. */
const A_PADS_TRIES = 6
const A_PADS_MM = inches(36)
/** More tries of one coupon teach ever less. Rough. */
const MOST_IN_A_COUPON = 3

export type PracticeByElement = Readonly<Partial<Record<ElementId, number>>>

/**
 * What a coupon of a rung holds of each element, in pads' worth: its tries and inches as the Bench lays it out.
 * @example practiceIn(restartStrip).restart // 3
 */
export function practiceIn(rung: RungToRun): PracticeByElement {
  const known = LAID_OUT.get(rung)
  if (known) return known
  const practice = layOut(rung)
  LAID_OUT.set(rung, practice)
  return practice
}

/** A rung is laid out once: a class asks for all of them, for each of its students. */
const LAID_OUT = new WeakMap<RungToRun, PracticeByElement>()

function layOut(rung: RungToRun): PracticeByElement {
  const { marks, beads } = nextCoupon(
    { id: '', hand: 'right', booth: null, last: null },
    { classDay: '2026-01-01', version: 1, rules: DEFAULT_HOUSE_RULES },
    rung,
  )
  const tries = (...kinds: string[]) =>
    Math.min(MOST_IN_A_COUPON, marks.filter(mark => isTry(mark) && kinds.includes(mark.kind)).length / A_PADS_TRIES)
  const welded =
    beads.reduce((sum, bead) => (bead.face === 'root' ? sum : sum + bead.toMm - bead.fromMm), 0) / A_PADS_MM
  const run = Math.min(MOST_IN_A_COUPON, welded)
  return {
    'start': tries('start'),
    'restart': tries('restart', 'tie-in'),
    'tie-in': tries('tie-in'),
    'ends': tries('end'),
    run,
    'toes': run,
    'size': run,
    'root': beads.some(bead => bead.face === 'root') ? 1 : 0,
  }
}
