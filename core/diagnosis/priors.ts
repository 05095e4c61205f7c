import { isPlate, passRemarks, fitUpWanted, showsRoot, thicknessOf, type CouponDocument } from '../coupon'
import type { HouseRules } from '../house'
import { checkFitUp, checkTicket, currentWindow } from '../setup'
import { familyOf, runAs } from '../trade'
import { CAUSES, type CauseId } from './causes'

/** How often each cause was the true one, as instructors said: what the odds adapt to. */
export type CauseCounts = Readonly<Partial<Record<CauseId, number>>>

/** The causes as shipped weigh as much as this many coupons whose cause was said. */
export const SHIPPED_COUPONS = 40
/** A student's own coupons are few, and count for more each. */
const STUDENT_COUPONS = 12

/**
 * How common each cause is in a school: as shipped, moved by what its instructors said. Source: Dirichlet counts,
 * posterior mean.
 * @returns a chance for each of `CAUSES`, in their order
 * @example schoolPriors({})[0] === CAUSES[0].prior // true
 */
export function schoolPriors(
  counts: CauseCounts,
  weight = SHIPPED_COUPONS,
  from: readonly number[] = CAUSES.map(cause => cause.prior),
): number[] {
  const said = CAUSES.reduce((sum, { id }) => sum + (counts[id] ?? 0), 0)
  // Several causes may be at work at once, so the shipped chances need not make one: what was said is shared out on
  // their scale.
  const scale = from.reduce((sum, prior) => sum + prior, 0)
  return CAUSES.map(({ id }, n) => (weight * from[n]! + scale * (counts[id] ?? 0)) / (weight + said))
}

/** What is known before the coupon is looked at. */
export interface Known {
  readonly school: CauseCounts
  readonly student: CauseCounts
}

export const NOTHING_KNOWN: Known = { school: {}, student: {} }

/** A chance moved by odds. */
const moved = (chance: number, times: number) => (chance * times) / (1 - chance + chance * times)

/**
 * Chance of each cause for this coupon before its marks are read: the school's, the student's, and what ticket,
 * piece, passes and fit-up say.
 * A set-up value outside its window is evidence for its cause. Source: common practice.
 * @returns a chance for each of `CAUSES`, in their order
 */
export function priorsFor(document: CouponDocument, rules: HouseRules, known: Known = NOTHING_KNOWN): number[] {
  const base = schoolPriors(known.student, STUDENT_COUPONS, schoolPriors(known.school))
  const times = new Map<CauseId, number>()
  const by = (factor: number, ...causes: CauseId[]) =>
    causes.forEach(cause => times.set(cause, (times.get(cause) ?? 1) * factor))
  ticketSays(document, rules, by)
  pieceSays(document, rules, by)
  return CAUSES.map(({ id }, n) => moved(base[n]!, times.get(id) ?? 1))
}

type By = (factor: number, ...causes: CauseId[]) => void
/** As good as certain, and as good as ruled out. */
const CERTAIN = 1e4
const RULED_OUT = 1e-4

function ticketSays(document: CouponDocument, rules: HouseRules, by: By): void {
  const { ticket, piece } = document
  const { lowA, highA } = currentWindow(ticket.classification, ticket.diameterMm, runAs(ticket.position), rules)
  const off = (ticket.currentA - (lowA + highA) / 2) / ((highA - lowA) / 2)
  const within = Math.max(-1, Math.min(1, off))
  by(Math.exp(0.9 * within), 'current high')
  by(Math.exp(-0.9 * within), 'current low')
  const found = new Set(checkTicket(ticket, thicknessOf(piece), rules).map(remark => remark.finding))
  by(found.has('current high') ? 9 : 1, 'current high')
  by(found.has('current low') ? 9 : 1, 'current low')
  by(found.has('wrong polarity') ? CERTAIN : 0.2, 'polarity')
  by(found.has('rod unfit for position') ? CERTAIN : 0.2, 'rod unfit')
  if (found.has('current high')) by(0.1, 'current low')
  if (found.has('current low')) by(0.1, 'current high')
  if (found.has('rod exposed')) by(8, 'damp rod')
  if (found.has('plate thin')) by(2.5, 'plate hot', 'current high')
  const family = familyOf(ticket.classification)
  by(family === 'cellulosic' ? 4 : RULED_OUT, 'whip')
  if (family === 'low hydrogen') by(1.2, 'damp rod')
  if (ticket.polarity === 'AC') by(0.05, 'arc blow')
  const lies = runAs(ticket.position)
  if (lies === '2G') by(2, 'work angle')
  if (lies === '3G') by(1.5, 'travel angle', 'no pause')
  if (lies === '4G') by(1.5, 'travel angle', 'current low')
}

function pieceSays(document: CouponDocument, rules: HouseRules, by: By): void {
  const { piece, passes = [], fitUp } = document
  if (isPlate(piece)) by(RULED_OUT, 'off the joint')
  if (!showsRoot(piece)) by(RULED_OUT, 'gap wide', 'gap tight')
  if (document.beads.length < 2) by(RULED_OUT, 'aim')
  const passed = new Set(passes.flatMap(pass => passRemarks(document, pass, rules)).map(remark => remark.finding))
  if (passed.has('current high')) by(4, 'current high')
  if (passed.has('current low')) by(4, 'current low')
  if (passed.has('not cleaned')) by(12, 'not cleaned')
  if (!fitUp) return
  const fitted = new Set(checkFitUp(fitUp, fitUpWanted(piece), rules.unit).findings.map(finding => finding.fault))
  if (fitted.has('gap tight') || fitted.has('land thick')) by(6, 'gap tight')
  if (fitted.has('gap wide') || fitted.has('land thin')) by(6, 'gap wide')
}
