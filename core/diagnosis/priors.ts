import {
  currentRuns,
  fitUpWanted,
  isFlaw,
  isOnRun,
  isGauge,
  isPipe,
  isPlate,
  isTry,
  passRemarks,
  showsRoot,
  thicknessOf,
  type CouponDocument,
  type Mark,
} from '../coupon'
import type { HouseRules } from '../house'
import { checkFitUp, checkTicket, edgesOff } from '../setup'
import { mean } from '../statistics'
import { familyOf, runAs, type PieceKind } from '../trade'
import { inches } from '../units'
import { CAUSES, type CauseId } from './causes'
import { passesOf, placeOf } from './place'

/**
 * How often instructors said a cause, over the coupons on which any was said, and how often the model, knowing nothing
 * of the school, expected it to be the one that is said.
 */
export interface CauseCount {
  readonly said: number
  readonly expected: number
}
export type CauseCounts = Readonly<Partial<Record<CauseId, CauseCount>>>

/**
 * What share of the saying each cause may expect on one coupon: one is said, and each is by as much as its odds are of
 * all odds together.
 * @param odds for each of `CAUSES`, in their order
 * @returns shares that sum to 1, in the same order
 * @example expectedShares([0.6, 0.2]) // [0.75, 0.25]
 */
export function expectedShares(odds: readonly number[]): number[] {
  const all = odds.reduce((sum, one) => sum + one, 0)
  return odds.map(one => one / all)
}

/** Sayings that are taken to have come as expected, beside those counted: few sayings move little. Common practice. */
const SCHOOL_HOLDS = 8
/** A student's own coupons are few, and count for more each. */
const STUDENT_HOLDS = 4

/** A chance moved by odds. */
const moved = (chance: number, times: number) => (chance * times) / (1 - chance + chance * times)

/** How much commoner a cause is than expected, held to 1: observed to expected, shrunk. Common practice. */
const timesExpected = ({ said, expected }: CauseCount, holds: number) => (said + holds) / (expected + holds)

const NONE_COUNTED: CauseCount = { said: 0, expected: 0 }

/**
 * How common each cause is in a school: as shipped, and as much oftener or more seldom as its instructors said it than
 * was expected.
 * @returns a chance for each of `CAUSES`, in their order
 * @example schoolPriors({})[0] === CAUSES[0].prior // true
 */
export const schoolPriors = (counts: CauseCounts): number[] =>
  CAUSES.map(({ id, prior }) => moved(prior, timesExpected(counts[id] ?? NONE_COUNTED, SCHOOL_HOLDS)))

/** The same for one student of the school: what the school moved already was to be expected of the student too. */
function studentPriors({ school, student }: Known): number[] {
  const base = schoolPriors(school)
  return CAUSES.map(({ id }, n) => {
    const { said, expected } = student[id] ?? NONE_COUNTED
    const here = timesExpected(school[id] ?? NONE_COUNTED, SCHOOL_HOLDS)
    return moved(base[n]!, timesExpected({ said, expected: expected * here }, STUDENT_HOLDS))
  })
}

/** What is known before the coupon is looked at. */
export interface Known {
  readonly school: CauseCounts
  readonly student: CauseCounts
}

export const NOTHING_KNOWN: Known = { school: {}, student: {} }

/**
 * Chance of each cause for this coupon before its signs are weighed: the school's, the student's, and what ticket,
 * piece, fit-up and the settings of the passes that show something say; and where what shows lies.
 * A set-up value outside its window is evidence for its cause. Source: common practice.
 * @param markIds the marks that show something; none where only words are known
 * @returns a chance for each of `CAUSES`, in their order
 */
export function priorsFor(
  document: CouponDocument,
  rules: HouseRules,
  known: Known = NOTHING_KNOWN,
  markIds: readonly string[] = [],
): number[] {
  const base = studentPriors(known)
  const times = new Map<CauseId, number>()
  const by: By = (factor, ...causes) => causes.forEach(cause => times.set(cause, (times.get(cause) ?? 1) * factor))
  const marks = document.marks.filter(mark => markIds.includes(mark.id))
  rodSays(document, marks, rules, by)
  currentSays(document, marks, rules, by)
  positionSays(document, by)
  pieceSays(document, rules, by)
  fitUpSays(document, marks, by)
  legsSay(document, by)
  placeSays(document, marks, by)
  toldSays(document, by)
  return CAUSES.map(({ id }, n) => moved(base[n]!, times.get(id) ?? 1))
}

type By = (factor: number, ...causes: CauseId[]) => void
/** As good as certain, and as good as ruled out. */
const CERTAIN = 1e4
const RULED_OUT = 1e-4

/** These are run uphill: downhill their slag runs ahead. Source: AWS A5.1, the table of positions, from memory. */
const UPHILL_ONLY: ReadonlySet<string> = new Set(['E7015', 'E7016', 'E7018', 'E8018', 'E9018'])

/** Whether a run was taken downhill with a rod that is not made for it. */
export function runsDownUnfit({ ticket, passes = [] }: CouponDocument): boolean {
  const runs = passes.length > 0 ? passes : [ticket]
  return runs.some(run => run.travel === 'down' && UPHILL_ONLY.has(run.classification))
}

/** What the runs that show something were run with; all runs where nothing shows. */
function rodsThatShow(document: CouponDocument, marks: readonly Mark[]): string[] {
  const { ticket, passes = [] } = document
  const showing = passesOf(document, marks)
  const run = showing.length > 0 ? showing : passes
  return run.length > 0 ? run.map(pass => pass.classification) : [ticket.classification]
}

/** Arc force that was looked at, outside where it is run and inside it. Common practice. */
const ARC_FORCE_OFF = 20
const ARC_FORCE_SET = 0.2

/** How much less often a used rod is lit again on a day of new rods. Common practice. */
const LIT_AGAIN = 0.1

/** Whether what shows was struck on a used rod: on a day of stubs, where the marks say so, or the student did. */
const relit = ({ ticket, answers }: CouponDocument, marks: readonly Mark[]) =>
  ticket.rods === 'stubs' ||
  answers?.['rod lit again'] === 'yes' ||
  marks.some(mark => isTry(mark) && mark.rod === 'stub')

function rodSays(document: CouponDocument, marks: readonly Mark[], rules: HouseRules, by: By): void {
  const { ticket, piece, passes = [] } = document
  const found = new Set(checkTicket(ticket, thicknessOf(piece), rules).map(remark => remark.finding))
  const wrong = passes.some(pass =>
    passRemarks(document, pass, rules).some(remark => remark.finding === 'wrong polarity'),
  )
  // The ticket of a joint is its passes' beginning; what they were set to counts.
  by((passes.length > 0 ? wrong : found.has('wrong polarity')) ? CERTAIN : 0.2, 'polarity')
  by(found.has('rod unfit for position') || runsDownUnfit(document) ? CERTAIN : 0.2, 'rod unfit')
  if (found.has('rod exposed')) by(8, 'damp rod')
  if (ticket.arcForcePercent !== undefined)
    by(found.has('arc force high') || found.has('arc force low') ? ARC_FORCE_OFF : ARC_FORCE_SET, 'arc force')
  if (found.has('plate thin')) by(2.5, 'plate hot', 'current high')
  const families = rodsThatShow(document, marks).map(familyOf)
  by(families.includes('cellulosic') ? 4 : RULED_OUT, 'whip')
  if (families.includes('low hydrogen')) by(1.2, 'damp rod')
  // Rutile rods pore more readily for other reasons, and take up damp with less harm.
  if (families.includes('rutile')) by(0.7, 'damp rod')
  if (ticket.polarity === 'AC') by(0.05, 'arc blow')
  if (!relit(document, marks)) by(document.answers?.['rod lit again'] === 'no' ? RULED_OUT : LIT_AGAIN, 'bare tip')
}

/**
 * Makes of one class differ by 5 to 15 A: a window of less than this to either side is where to begin, and what lies
 * just beyond it is no evidence, A. Common practice.
 */
const NARROWEST_A = 10

/** What one run was set to beside its window: -1 at the low end, 1 at the high end, beyond that outside. */
const offOf = (currentA: number, { lowA, highA }: { readonly lowA: number; readonly highA: number }) =>
  (currentA - (lowA + highA) / 2) / Math.max(NARROWEST_A, (highA - lowA) / 2)

const IN_THE_MIDDLE = 0.4
/** From the middle to the end, as a power of e; and once more beyond it. */
const TO_THE_END = 1.8
const BEYOND = 9
/** Each half width further out, as a power of e: 40 A over a window is no matter of the arc length any more. */
const FURTHER_OUT = 0.9
const FURTHEST_OUT = 6
/** What was set beyond one end is not the trouble of the other. */
const OTHER_END = 0.15
/** How much less a run says that shows nothing, as a power. */
const ELSEWHERE = 0.5

/**
 * How much likelier a wrong current is by where in its window a run was set: in the middle it is hardly the current, at
 * the end it may be, beyond it mostly is. Common practice.
 * @param toward how far it was set that way, in half widths of its window: 0 the middle, 1 the end
 */
function wrongTimes(toward: number): number {
  const inWindow = IN_THE_MIDDLE * Math.exp(TO_THE_END * Math.max(-1, Math.min(1, toward)))
  if (toward > 1) return BEYOND * inWindow * Math.exp(FURTHER_OUT * Math.min(FURTHEST_OUT, toward - 1))
  return toward < -1 ? OTHER_END * inWindow : inWindow
}

/**
 * The current of each run against its own window. A run that shows nothing says less, but what was set outside its
 * window stays evidence.
 */
function currentSays(document: CouponDocument, marks: readonly Mark[], rules: HouseRules, by: By): void {
  const all = currentRuns(document, rules)
  const showing = new Set(all.filter(run => marks.some(mark => isOnRun(document, run, mark))))
  const runs = all.map(run => ({
    off: offOf(run.currentA, run),
    shows: showing.size === 0 || showing.has(run),
  }))
  for (const [cause, way] of [
    ['current high', 1],
    ['current low', -1],
  ] as const) {
    const times = runs.map(({ off, shows }) => wrongTimes(way * off) ** (shows ? 1 : ELSEWHERE))
    by(Math.max(...times), cause)
  }
}

/** The way in which a run was set outside its window, by more than makes of one class differ; null where none was. */
export function currentOff(document: CouponDocument, rules: HouseRules): 'current high' | 'current low' | null {
  const offs = currentRuns(document, rules).map(run => offOf(run.currentA, run))
  const worst = offs.reduce((most, one) => (Math.abs(one) > Math.abs(most) ? one : most), 0)
  return Math.abs(worst) <= 1 ? null : worst > 0 ? 'current high' : 'current low'
}

/** High in the middle with both toes cut is what a weave leaves that is not held at its toes. Common practice. */
const CROWNED = 4

/** Whether a run has both toes cut, and too much metal between them. */
function isCrownedBetweenCutToes({ marks }: CouponDocument): boolean {
  const flaws = marks.filter(isFlaw)
  const high = new Set(flaws.filter(one => one.flaw === 'excess weld metal').map(one => one.beadId))
  return flaws.some(one => one.flaw === 'undercut' && one.side === 'both' && high.has(one.beadId))
}

function positionSays(document: CouponDocument, by: By): void {
  const lies = runAs(document.ticket.position)
  if (lies === '2G') by(2, 'work angle')
  else by(RULED_OUT, 'work angle high', 'out of level')
  if (lies === '3G') by(1.5, 'travel angle', 'no pause')
  if (lies === '3G' && isCrownedBetweenCutToes(document)) by(CROWNED, 'no pause')
  if (lies === '4G') by(1.5, 'travel angle', 'current low')
  // Downhill the slag runs with the puddle: it is outrun with a dragged rod, or it is welded over.
  if (document.ticket.travel === 'down') {
    by(5, 'upright rod', 'travel slow')
    by(0.15, 'not cleaned', 'travel angle')
  }
}

/** Pieces with an edge in the joint, which melts before the middle of a plate. */
export const HAS_AN_EDGE: ReadonlySet<PieceKind> = new Set(['lap', 'outside corner', 'edge'])

function pieceSays(document: CouponDocument, rules: HouseRules, by: By): void {
  const { piece, passes = [], beads, marks } = document
  if (isPlate(piece)) by(RULED_OUT, 'off the joint')
  if (!showsRoot(piece)) by(RULED_OUT, 'gap wide', 'gap tight', 'out of line', 'root far out')
  if (beads.length < 2) by(RULED_OUT, 'aim', 'valley narrow')
  const tried = new Set(marks.filter(isTry).map(mark => mark.kind))
  if (!tried.has('restart') && !tried.has('tie-in')) by(RULED_OUT, 'too long in crater', 'too short in crater')
  // A pipe goes round: there is no edge to build up to.
  if (!tried.has('end') || isPipe(piece)) by(RULED_OUT, 'ends')
  // Nothing lies between the beads of a joint that is one bead, unless it was restarted.
  if (beads.length < 2 && !marks.some(mark => mark.kind === 'restart')) by(RULED_OUT, 'not cleaned')
  if (HAS_AN_EDGE.has(piece.kind)) by(0.2, 'work angle')
  else by(RULED_OUT, 'edge melts')
  const passed = new Set(passes.flatMap(pass => passRemarks(document, pass, rules)).map(remark => remark.finding))
  if (passed.has('not cleaned')) by(12, 'not cleaned')
  const tooHot = passes.some(pass => pass.log?.felt === 'too hot to touch')
  if (tooHot) by(25, 'plate hot')
  // One bead that was never stopped for has no bead before it to heat the plate.
  else if (!isPlate(piece) && beads.filter(bead => bead.face !== 'root').length < 2) by(0.4, 'plate hot')
}

/** What was gauged right is hardly the trouble. */
const GAUGED_RIGHT = 0.12
/** Both gauged right leave next to nothing of it. */
const BOTH_RIGHT = 0.02
/** Steel that was put together dirty, and edges that were gauged out of line. */
const PUT_TOGETHER_SO = 40
const DIRTY: ReadonlySet<string> = new Set(['mill scale', 'rust', 'paint', 'oil', 'galvanized'])

/** What shows at a tack that was left blunt, and what shows elsewhere on its joint. Common practice: within 3/4 in. */
const AT_A_TACK = 60
const BESIDE_A_TACK = 1
const NEAR_A_TACK_MM = inches(3 / 4)

function blunt({ tacks }: NonNullable<CouponDocument['fitUp']>, marks: readonly Mark[]): number {
  const left = tacks.filter(tack => !tack.feathered)
  if (left.length === 0) return RULED_OUT
  const isAt = (mark: Mark) =>
    left.some(({ atMm, lengthMm }) => {
      const end = isFlaw(mark) ? mark.toMm : mark.atMm
      return mark.atMm <= atMm + lengthMm + NEAR_A_TACK_MM && end >= atMm - NEAR_A_TACK_MM
    })
  return marks.length > 0 && marks.every(isAt) ? AT_A_TACK : BESIDE_A_TACK
}

/** The joint as it was put together and gauged. */
function fitUpSays({ fitUp, piece }: CouponDocument, marks: readonly Mark[], by: By): void {
  if (!fitUp) return by(RULED_OUT, 'blunt tack')
  if (fitUp.surface && DIRTY.has(fitUp.surface)) by(PUT_TOGETHER_SO, 'dirty plate')
  const wanted = fitUpWanted(piece)
  const { gap, land } = edgesOff(fitUp, wanted)
  const right = (off: number) => (Math.abs(off) <= 1 ? GAUGED_RIGHT : wrongTimes(off))
  // Either will do it, gap or land: what was not gauged stays as likely as it was.
  const either = (gapOff: number, landOff: number | null) => {
    const times = Math.max(right(gapOff), landOff === null ? IN_THE_MIDDLE : right(landOff))
    return times === GAUGED_RIGHT ? BOTH_RIGHT : times
  }
  by(either(gap.tight, land), 'gap tight')
  by(either(gap.wide, land === null ? null : -land), 'gap wide')
  by(blunt(fitUp, marks), 'blunt tack')
  const fitted = checkFitUp(fitUp, wanted, 'in').findings
  by(fitted.some(finding => finding.fault === 'out of line') ? PUT_TOGETHER_SO : 0.3, 'out of line')
}

/** Legs that differ by more than this are uneven, mm. Common practice: 1/16 in. */
const EVEN_LEGS_MM = inches(1 / 16)
const LEG_SAYS = 3

/** The longer leg is where the rod pointed: the metal lies there, and the other wall went without. */
function legsSay({ marks }: CouponDocument, by: By): void {
  const legs = (of: 'upper leg' | 'lower leg') =>
    marks.filter(isGauge).flatMap(mark => (mark.of === of ? [mark.valueMm] : []))
  const [upper, lower] = [legs('upper leg'), legs('lower leg')]
  if (upper.length === 0 || lower.length === 0) return
  const more = mean(upper) - mean(lower)
  if (Math.abs(more) < EVEN_LEGS_MM - 0.01) return
  by(LEG_SAYS, more > 0 ? 'work angle high' : 'work angle')
  by(1 / LEG_SAYS, more > 0 ? 'work angle' : 'work angle high')
}

/**
 * What was told after the coupon before: a cause that was put right and did not help is likely another; one that was
 * not put right is still there. Common practice.
 */
const PUT_RIGHT = 0.25
const LEFT_AS_IT_WAS = 2
function toldSays({ toldBefore }: CouponDocument, by: By): void {
  const cause = CAUSES.find(one => one.id === toldBefore?.cause)
  if (cause && toldBefore?.done) by(toldBefore.done === 'yes' ? PUT_RIGHT : LEFT_AS_IT_WAS, cause.id)
}

/** How much one bead alone that shows anything says for what is wrong with just that bead. Common practice. */
const ALONE = 3

/**
 * What shows on one bead alone: on the first, out of position, it was run too slowly with nothing to hold it up; on the
 * last, in a hurry with no valley to fill.
 */
function placeSays(document: CouponDocument, marks: readonly Mark[], by: By): void {
  const { bead } = placeOf(document, marks)
  by(bead === 'first' && runAs(document.ticket.position) !== '1G' ? ALONE : RULED_OUT, 'first bead slow')
  by(bead === 'last' ? ALONE : RULED_OUT, 'hurried last')
  if (liesAtTheEnd(document, marks)) by(AT_THE_END, 'arc blow')
}

/** The arc is blown where the plate ends, and its heat has nowhere to go. Common practice: the last inch or so. */
const AT_THE_END = 25
const END_MM = inches(1.25)

/** Whether all marks lie in the last inch of a joint's runs; a pad is one of many ends, and a pipe has none. */
function liesAtTheEnd(document: CouponDocument, marks: readonly Mark[]): boolean {
  const { piece, beads, ticket } = document
  if (isPlate(piece) || isPipe(piece) || marks.length === 0) return false
  return marks.every(mark => {
    const bead = beads.find(one => one.id === mark.beadId)
    if (!bead || (isTry(mark) && mark.kind !== 'end')) return false
    const back = ticket.travel === 'right to left' || ticket.travel === 'down'
    const [from, to] = isFlaw(mark) ? [mark.atMm, mark.toMm] : [mark.atMm, mark.atMm]
    return back ? to <= bead.fromMm + END_MM : from >= bead.toMm - END_MM
  })
}
