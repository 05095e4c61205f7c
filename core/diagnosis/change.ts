import {
  cardCase,
  currentRuns,
  fitUpWanted,
  isOnRun,
  isPipe,
  isPlate,
  passName,
  type CouponDocument,
  type Pass,
} from '../coupon'
import type { Between, HouseRules } from '../house'
import { arcForceWindow, edgesOff, rodAngles, type RodAngles } from '../setup'
import { isFixedPipe, runAs } from '../trade'
import { formatLength } from '../units'
import type { Cause } from './causes'
import { isLevel } from './level'
import { runsDownUnfit } from './priors'
import { placeOf, type MarkedPlace } from './place'

/** What the one change is said of: its cause, and the marks that speak for it. */
export interface ChangeWanted {
  readonly cause: Cause
  readonly document: CouponDocument
  readonly markIds: readonly string[]
  /** The cause stands clear, so that the step may be a big one. */
  readonly strong: boolean
}

/**
 * The one change for the next run, with its figure where it has one: amperes of the pass that shows it, degrees as the
 * settings card has them, or a length by the house's rules; where it shows in one place alone, the place is named.
 * @example changeFor({ cause: causeOf('current high'), document, markIds, strong: true }, rules)
 *   // 'Down 10 A to 125 A'
 */
export function changeFor(wanted: ChangeWanted, rules: HouseRules): string {
  const { cause, document, markIds } = wanted
  const marks = document.marks.filter(mark => markIds.includes(mark.id))
  const place = placeOf(document, marks)
  if (cause.id === 'current high' || cause.id === 'current low') return currentChange(wanted, rules)
  const said = words(cause, document, place, rules)
  return place.says === null || SAID_WITHOUT_PLACE.has(cause.id) ? said : `${capital(place.says)}: ${lower(said)}`
}

/** Their words say where already, or they are of the machine, wherever it shows. */
const SAID_WITHOUT_PLACE: ReadonlySet<Cause['id']> = new Set([
  'first bead slow',
  'hurried last',
  'arc force',
  'polarity',
  'clamp',
])

const capital = (text: string) => text[0]!.toUpperCase() + text.slice(1)
const lower = (text: string) => text[0]!.toLowerCase() + text.slice(1)
const degrees = ({ low, high }: Between) => (low === high ? `${low} degrees` : `${low} to ${high} degrees`)

function words(cause: Cause, document: CouponDocument, { pass, clock }: MarkedPlace, rules: HouseRules): string {
  const { ticket, piece } = document
  switch (cause.id) {
    case 'arc long':
      return `Close the arc to ${formatLength(rules.arcCores * (pass?.diameterMm ?? ticket.diameterMm), rules.unit)} at most`
    case 'travel angle':
      if (clock === null && isFixedPipe(ticket.position) && isPipe(piece))
        return `Keep the rod within ${Math.round(anglesOf(document, pass, rules).travel.high)} degrees of the pipe’s axis`
      if (clock === 6) return 'Rod straight at the pipe’s axis as you pass it'
      return leanLess(anglesOf(document, pass, rules))
    case 'upright rod':
      return leanRight(anglesOf(document, pass, rules))
    case 'gap tight':
      if (landIsHeavy(document)) return 'Grind the land thinner on the next one; the gap is right'
      return `Gauge the gap; ${lower(leanRight(anglesOf(document, pass, rules)))}; 5 A more if the land is right`
    case 'work angle':
      return tipUp(document, rules)
    case 'work angle high':
      return tipDown(document, rules)
    case 'arc force':
      return arcForceChange(document, rules) ?? cause.change
    case 'rod unfit':
      return runsDownUnfit(document) ? 'Run it uphill: this rod is not made to be run down' : cause.change
    case 'edge melts':
      return piece.kind === 'lap' ? cause.change : 'Faster, with the arc on the seam: an edge melts before the middle'
    case 'plate hot':
      return document.beads.length > 1 ? cause.change : 'Let it cool before the next one'
    case 'not cleaned':
      return document.beads.length > 1 ? cause.change : 'Chip and brush every crater before you strike in it'
    case 'aim':
      return isLevel(document) && rules.ways.horizontalAim === 'above the toe'
        ? 'Aim just above the toe of the last bead'
        : cause.change
    case 'crater left':
      return rules.ways.endOfRun === 'weld in'
        ? 'Stop an inch short and weld in from the end, so that no crater is left there'
        : cause.change
    case 'first bead slow':
      return rules.ways.firstBead === 'flat'
        ? 'Lay the first bead flat, then turn the plate: nothing holds it up in position'
        : cause.change
    case 'weave wide':
      return rules.ways.manipulation === 'stringers'
        ? 'Stringers only: lay two beads where one is not enough'
        : cause.change
    case 'bracing':
      return isFixedPipe(ticket.position) ? 'Brace for each quarter and dry-run it before you strike' : cause.change
    case 'travel fast':
    case 'travel slow':
      return isPlate(piece) ? cause.change : cause.change.replace('the target width', 'as wide as the joint wants it')
    default:
      return cause.change
  }
}

/** Back to where arc force is run, from outside it; null where it lies there, or was not looked at. */
function arcForceChange({ ticket }: CouponDocument, rules: HouseRules): string | null {
  const { classification, position, arcForcePercent: now } = ticket
  const { low, high } = arcForceWindow({ classification, position: runAs(position) }, rules)
  if (now === undefined || (now >= low && now <= high)) return null
  return now < low ? `Arc force up to ${low} %: it stood at ${now}` : `Arc force down to ${high} %: it stood at ${now}`
}

/** The gap was gauged right, and the land heavy: it is the land that kept the root from coming through. */
function landIsHeavy({ fitUp, piece }: CouponDocument): boolean {
  if (!fitUp) return false
  const { gap, land } = edgesOff(fitUp, fitUpWanted(piece))
  return land !== null && land > 1 && gap.tight <= 1
}

/** How the settings card has the rod held, for the pass that shows it, else for the last one. */
function anglesOf(document: CouponDocument, pass: Pass | null, rules: HouseRules): RodAngles {
  const of = pass ?? document.passes?.at(-1)
  const { ticket } = document
  return rodAngles(
    of
      ? { ...cardCase(document, of), position: runAs(ticket.position) }
      : {
          classification: ticket.classification,
          position: runAs(ticket.position),
          travel: ticket.travel,
          joint: 'pad',
          pass: 'bead',
        },
    rules,
  )
}

function leanLess({ travel }: RodAngles): string {
  if (travel.lean === 'push') return `Push no more than ${Math.round(travel.high)} degrees`
  if (travel.low === 0) return `Rod straight in: lean it no more than ${Math.round(travel.high)} degrees`
  return `Lean the rod ${degrees(travel)}, no more`
}

function leanRight({ travel }: RodAngles): string {
  if (travel.lean === 'push') return `Push the rod ${degrees(travel)}`
  return travel.low === 0
    ? `Rod straight in, dragged no more than ${Math.round(travel.high)} degrees`
    : `Drag the rod ${degrees(travel)}`
}

/** The upper toe is eaten, or the lower rolled over: the rod points too little against the sag. */
function tipUp(document: CouponDocument, rules: HouseRules): string {
  const { kind } = document.piece
  const fillet = kind === 'T' || kind === 'lap' || kind === 'pipe to plate' || kind === 'saddle'
  if (!isLevel(document)) return `Tip the rod 5 to 10 degrees toward the ${fillet ? 'plate' : 'toe'} that is undercut`
  if (fillet) return 'Tip the rod 5 to 10 degrees toward the upper plate'
  return `Point the rod ${degrees(rules.upHorizontalDegrees)} up`
}

/** The lower toe is eaten, or the upper rolled over: it points up too far. */
function tipDown(document: CouponDocument, rules: HouseRules): string {
  const { kind } = document.piece
  if (kind === 'T' || kind === 'lap' || kind === 'pipe to plate' || kind === 'saddle')
    return 'Tip the rod 5 to 10 degrees toward the lower plate'
  return `Back toward square: ${degrees(rules.upHorizontalDegrees)} up, no more`
}

/** What a run is set to, and the window it belongs in, A. */
interface RunSet {
  readonly currentA: number
  readonly lowA: number
  readonly highA: number
  readonly says: string | null
}

/**
 * Ten amperes where the cause stands clear, else five; never out of the window, and back into it from outside. Of
 * several passes it is the one that is furthest off that way among those that show it.
 */
function currentChange({ cause, document, markIds, strong }: ChangeWanted, rules: HouseRules): string {
  const way = cause.id === 'current low' ? 1 : -1
  const set = runSet(document, markIds, way, rules)
  const step = strong ? 10 : 5
  const inside = Math.min(Math.max(set.currentA + way * step, set.lowA), set.highA)
  const next = (inside - set.currentA) * way > 0 ? inside : set.currentA + way * 5
  const said = `${way > 0 ? 'up' : 'down'} ${Math.abs(next - set.currentA)} A to ${next} A`
  return set.says === null ? capital(said) : `${capital(set.says)}: ${said}`
}

function runSet(document: CouponDocument, markIds: readonly string[], way: 1 | -1, rules: HouseRules): RunSet {
  const { passes = [] } = document
  const marks = document.marks.filter(mark => markIds.includes(mark.id))
  const runs = currentRuns(document, rules)
  const showing = runs.filter(run => marks.some(mark => isOnRun(document, run, mark)))
  const sets = (showing.length > 0 ? showing : runs).map(({ pass, currentA, lowA, highA }): RunSet => ({
    ...{ currentA, lowA, highA },
    says: pass && passes.length > 1 ? passName(document, pass.id) : null,
  }))
  /** How far off that way, in widths of its window. */
  const off = ({ currentA, lowA, highA }: RunSet) =>
    (-way * (currentA - (lowA + highA) / 2)) / Math.max(1, highA - lowA)
  return sets.reduce((worst, one) => (off(one) > off(worst) ? one : worst))
}
