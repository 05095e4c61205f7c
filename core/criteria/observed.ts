import { mean } from '../statistics'
import { filletThroat } from '../deposit'
import {
  isFilletPiece,
  isFlaw,
  isLastLayer,
  isPlate,
  isGauge,
  isTry,
  type Bead,
  type CouponDocument,
  type FlawMark,
  type GaugeKind,
  type GaugeMark,
  type TryMark,
} from '../coupon'
import { inches, over, under } from '../units'
import type { DiscontinuityId } from '../trade'
import { mostCovered, mostSpots, type MostIn, type Spot, type Stretch } from './windows'

/** What criteria look at on a finished weld. */
export type ObservedId =
  | 'cracks'
  | 'craters'
  | 'undercut depth'
  | 'undercut in 12 in'
  | 'deep undercut in 12 in'
  | 'undercut in 100 mm'
  | 'pores'
  | 'largest pore'
  | 'pores in 1 in'
  | 'pores in 12 in'
  | 'overlap'
  | 'not fused'
  | 'not through'
  | 'not through in 100 mm'
  | 'root concavity'
  | 'stands through'
  | 'burn-through'
  | 'slag on the surface'
  | 'arc strikes'
  | 'reinforcement'
  | 'below the surface'
  | 'convexity'
  | 'leg short by'
  | 'throat short by'
  | 'legs differ by'
  | 'misalignment'
  | 'sagging'
  | 'poor restarts'

export interface Observed {
  /** mm, or a count; null where it was not gauged. */
  readonly value: number | null
  readonly markIds: readonly string[]
}

export interface ObservedRow {
  readonly id: ObservedId
  readonly name: string
  readonly counted: 'mm' | 'count'
  /** Reads it off what a visual examination sees. */
  readonly read: (seen: Seen) => Observed
}

const INCH = inches(1)
const FOOT = inches(12)
/** Undercut deeper than this is counted apart by the production table: 1/32 in. */
const DEEP_MM = inches(1 / 32)

/**
 * The lanes that a visual examination sees: all of a pad, the last layer of each side of a joint, and its root side.
 */
export function visibleLanes(document: CouponDocument): readonly Bead[] {
  return isPlate(document.piece)
    ? document.beads
    : document.beads.filter(bead => bead.face === 'root' || isLastLayer(document, bead))
}

/** What a visual examination sees of a coupon: what a bend laid open lay inside. */
interface Seen {
  readonly document: CouponDocument
  readonly flaws: readonly FlawMark[]
  readonly readings: readonly GaugeMark[]
  readonly tries: readonly TryMark[]
  /** What is in one window lies on one bead of a pad, or anywhere across one side of a joint. */
  readonly sideOf: (mark: FlawMark) => string
}

function seenOf(document: CouponDocument): Seen {
  const lanes = new Map(visibleLanes(document).map(bead => [bead.id, bead]))
  const marks = document.marks.filter(mark => lanes.has(mark.beadId))
  const isPad = isPlate(document.piece)
  return {
    document,
    flaws: marks.filter(isFlaw).filter(mark => mark.found === undefined),
    readings: marks.filter(isGauge),
    tries: marks.filter(isTry),
    sideOf: mark => (isPad ? mark.beadId : (lanes.get(mark.beadId)!.face ?? 'face')),
  }
}

const flawsOf = ({ flaws }: Seen, kind: DiscontinuityId) => flaws.filter(mark => mark.flaw === kind)
const readingsOf = ({ readings }: Seen, ...of: GaugeKind[]) => readings.filter(mark => of.includes(mark.of))
const legOf = ({ document: { piece } }: Seen) => (isFilletPiece(piece) ? piece.legMm : 0)
/** Pores that a code sums: 1/32 in and larger. */
const countedPores = (seen: Seen) => flawsOf(seen, 'porosity').filter(mark => !under(mark.sizeMm ?? 0, DEEP_MM))
const deepUndercut = (seen: Seen) => flawsOf(seen, 'undercut').filter(mark => over(mark.sizeMm ?? 0, DEEP_MM))

const idsOf = (marks: readonly { id: string }[]) => marks.map(mark => mark.id)
const stretchOf = (mark: FlawMark): Stretch => ({ fromMm: mark.atMm, toMm: mark.toMm, markId: mark.id })
const spotOf = (mark: FlawMark): Spot => ({
  atMm: (mark.atMm + mark.toMm) / 2,
  sizeMm: mark.sizeMm ?? 0,
  markId: mark.id,
})
const greatest = (found: readonly MostIn[]): Observed =>
  found.reduce<Observed>((best, one) => (one.mm > (best.value ?? 0) ? { value: one.mm, markIds: one.markIds } : best), {
    value: 0,
    markIds: [],
  })
const count = (marks: readonly { id: string }[]): Observed => ({ value: marks.length, markIds: idsOf(marks) })
/** The deepest or largest of some marks; nothing is 0. */
const worst = (marks: readonly { id: string; sizeMm: number | null }[]): Observed => {
  const mm = Math.max(0, ...marks.map(mark => mark.sizeMm ?? 0))
  return { value: mm, markIds: idsOf(marks.filter(mark => mark.sizeMm === mm && mm > 0)) }
}
/** The most by which readings depart, by a sum of their own; null when nothing was gauged. */
function gauged(marks: readonly { id: string; valueMm: number }[], departs: (valueMm: number) => number): Observed {
  if (marks.length === 0) return { value: null, markIds: [] }
  const most = Math.max(0, ...marks.map(mark => departs(mark.valueMm)))
  return { value: most, markIds: idsOf(marks.filter(mark => most > 0 && departs(mark.valueMm) === most)) }
}

function sides({ sideOf }: Seen, marks: readonly FlawMark[]): FlawMark[][] {
  return [...new Set(marks.map(sideOf))].map(side => marks.filter(mark => sideOf(mark) === side))
}
const covered = (seen: Seen, marks: readonly FlawMark[], windowMm: number) =>
  greatest(sides(seen, marks).map(group => mostCovered(group.map(stretchOf), windowMm)))
const summed = (seen: Seen, marks: readonly FlawMark[], windowMm: number) =>
  greatest(sides(seen, marks).map(group => mostSpots(group.map(spotOf), windowMm)))
const whole = (kind: DiscontinuityId) => (seen: Seen) => covered(seen, flawsOf(seen, kind), Infinity)
const number = (kind: DiscontinuityId) => (seen: Seen) => count(flawsOf(seen, kind))
const worstOf = (kind: DiscontinuityId) => (seen: Seen) => worst(flawsOf(seen, kind))
const asRead = (mm: number) => mm

const through = (marked: Observed, read: Observed): Observed =>
  (read.value ?? 0) > (marked.value ?? 0) ? read : marked

function legsDiffer(
  upper: readonly { id: string; valueMm: number }[],
  lower: readonly { id: string; valueMm: number }[],
): Observed {
  if (upper.length === 0 || lower.length === 0) return { value: null, markIds: [] }
  const length = (legs: readonly { valueMm: number }[]) => mean(legs.map(mark => mark.valueMm))
  return { value: Math.abs(length(upper) - length(lower)), markIds: idsOf([...upper, ...lower]) }
}

const row = (
  id: ObservedId,
  name: string,
  read: ObservedRow['read'],
  counted: ObservedRow['counted'] = 'mm',
): ObservedRow => ({ id, name, counted, read })

export const OBSERVED: readonly ObservedRow[] = [
  row('cracks', 'Cracks', number('crack'), 'count'),
  row(
    'craters',
    'Craters not filled',
    ({ tries }) => count(tries.filter(mark => mark.kind === 'end' && mark.fault === 'crater')),
    'count',
  ),
  row('not fused', 'Not fused', whole('incomplete fusion')),
  row('not through', 'Root not through', whole('incomplete penetration')),
  row('not through in 100 mm', 'Root not through, in any 100 mm', seen =>
    covered(seen, flawsOf(seen, 'incomplete penetration'), 100),
  ),
  row('burn-through', 'Burn-through', number('melt-through'), 'count'),
  row('undercut depth', 'Undercut, deepest', worstOf('undercut')),
  row('undercut in 12 in', 'Undercut, in any 12 in', seen => covered(seen, flawsOf(seen, 'undercut'), FOOT)),
  row('deep undercut in 12 in', 'Undercut over 1/32 in (1 mm), in any 12 in', seen =>
    covered(seen, deepUndercut(seen), FOOT),
  ),
  row('undercut in 100 mm', 'Undercut, in any 100 mm', seen => covered(seen, flawsOf(seen, 'undercut'), 100)),
  row('pores', 'Surface pores', number('porosity'), 'count'),
  row('largest pore', 'Largest pore', worstOf('porosity')),
  row('pores in 1 in', 'Pores summed, in any inch', seen => summed(seen, countedPores(seen), INCH)),
  row('pores in 12 in', 'Pores summed, in any 12 in', seen => summed(seen, countedPores(seen), FOOT)),
  row('overlap', 'Overlap', whole('overlap')),
  row('root concavity', 'Root concavity', worstOf('root concavity')),
  row('stands through', 'Stands through the root', seen =>
    through(worst(flawsOf(seen, 'excess penetration')), gauged(readingsOf(seen, 'penetration'), asRead)),
  ),
  row('slag on the surface', 'Slag on the surface', whole('slag')),
  row('arc strikes', 'Arc strikes outside the joint', number('arc strike'), 'count'),
  row('reinforcement', 'Reinforcement', seen => gauged(readingsOf(seen, 'height'), asRead)),
  row('below the surface', 'Face below the plate', whole('underfill')),
  row('convexity', 'Convexity', seen => gauged(readingsOf(seen, 'convexity'), asRead)),
  row('leg short by', 'Leg short by', seen =>
    gauged(readingsOf(seen, 'upper leg', 'lower leg'), mm => legOf(seen) - mm),
  ),
  row('throat short by', 'Throat short by', seen =>
    gauged(readingsOf(seen, 'throat'), mm => filletThroat(legOf(seen)) - mm),
  ),
  row('legs differ by', 'Legs differ by', seen =>
    legsDiffer(readingsOf(seen, 'upper leg'), readingsOf(seen, 'lower leg')),
  ),
  row('misalignment', 'Misalignment', ({ document }) => ({
    value: document.fitUp?.misalignmentMm ?? null,
    markIds: [],
  })),
  row('sagging', 'Sagging', worstOf('sagging')),
  row(
    'poor restarts',
    'Poor restarts',
    ({ tries }) =>
      count(tries.filter(mark => (mark.kind === 'restart' || mark.kind === 'tie-in') && mark.degree === 'poor')),
    'count',
  ),
]

const BY_ID = new Map<string, ObservedRow>(OBSERVED.map(one => [one.id, one]))

/** The row of something observed. @throws RangeError when there is none */
export function observedOf(id: string): ObservedRow {
  const found = BY_ID.get(id)
  if (!found) throw new RangeError(`Nothing is observed as "${id}"`)
  return found
}

/**
 * Looks a coupon over once: any number of observations are then read off what was seen of its marks: counts, the worst
 * of a kind, sums over sliding windows, and what gauges read.
 * @returns of each observation mm or a count; null where it was not gauged
 * @example observer(document)('undercut depth').value // 0.79375
 */
export function observer(document: CouponDocument): (id: ObservedId) => Observed {
  const seen = seenOf(document)
  return id => observedOf(id).read(seen)
}
