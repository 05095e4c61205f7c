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
  /** mm, or a count; null where nobody gauged it. */
  readonly value: number | null
  readonly markIds: readonly string[]
}

export interface ObservedRow {
  readonly id: ObservedId
  readonly name: string
  readonly counted: 'mm' | 'count'
}

const row = (id: ObservedId, name: string, counted: ObservedRow['counted'] = 'mm'): ObservedRow => ({
  id,
  name,
  counted,
})

export const OBSERVED: readonly ObservedRow[] = [
  row('cracks', 'Cracks', 'count'),
  row('craters', 'Craters not filled', 'count'),
  row('not fused', 'Not fused'),
  row('not through', 'Root not through'),
  row('not through in 100 mm', 'Root not through, in any 100 mm'),
  row('burn-through', 'Burn-through', 'count'),
  row('undercut depth', 'Undercut, deepest'),
  row('undercut in 12 in', 'Undercut, in any 12 in'),
  row('deep undercut in 12 in', 'Undercut over 1/32 in (1 mm), in any 12 in'),
  row('undercut in 100 mm', 'Undercut, in any 100 mm'),
  row('pores', 'Surface pores', 'count'),
  row('largest pore', 'Largest pore'),
  row('pores in 1 in', 'Pores summed, in any inch'),
  row('pores in 12 in', 'Pores summed, in any 12 in'),
  row('overlap', 'Overlap'),
  row('root concavity', 'Root concavity'),
  row('stands through', 'Stands through the root'),
  row('slag on the surface', 'Slag on the surface'),
  row('arc strikes', 'Arc strikes outside the joint', 'count'),
  row('reinforcement', 'Reinforcement'),
  row('below the surface', 'Face below the plate'),
  row('convexity', 'Convexity'),
  row('leg short by', 'Leg short by'),
  row('throat short by', 'Throat short by'),
  row('legs differ by', 'Legs differ by'),
  row('misalignment', 'Misalignment'),
  row('sagging', 'Sagging'),
  row('poor restarts', 'Poor restarts', 'count'),
]

/** The row of something observed. @throws RangeError when there is none */
export function observedOf(id: string): ObservedRow {
  const found = OBSERVED.find(one => one.id === id)
  if (!found) throw new RangeError(`Nothing is observed as "${id}"`)
  return found
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

/** Marks that a visual examination sees: what a bend laid open lay inside. */
function visible(document: CouponDocument) {
  const lanes = new Map(visibleLanes(document).map(bead => [bead.id, bead]))
  const marks = document.marks.filter(mark => lanes.has(mark.beadId))
  const flaws = (...kinds: DiscontinuityId[]) =>
    marks.filter(isFlaw).filter(mark => mark.found === undefined && kinds.includes(mark.flaw))
  const readings = (...of: GaugeKind[]) => marks.filter(isGauge).filter(mark => of.includes(mark.of))
  const tries = marks.filter(isTry)
  /** What is in one window lies on one bead of a pad, or anywhere across one side of a joint. */
  const groups = <T extends { beadId: string }>(found: readonly T[]): T[][] => {
    const keyOf = (mark: T) => (isPlate(document.piece) ? mark.beadId : (lanes.get(mark.beadId)!.face ?? 'face'))
    return [...new Set(found.map(keyOf))].map(key => found.filter(mark => keyOf(mark) === key))
  }
  return { flaws, readings, tries, groups }
}

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

/**
 * One observation on a coupon, from its marks alone: counts, the worst of a kind, sums over sliding windows, and
 * what gauges read.
 * @returns mm or a count; null where nobody gauged it
 * @example observe(document, 'undercut depth').value // 0.79375
 */
export function observe(document: CouponDocument, id: ObservedId): Observed {
  const { flaws, readings, tries, groups } = visible(document)
  const covered = (marks: readonly FlawMark[], windowMm: number) =>
    greatest(groups(marks).map(group => mostCovered(group.map(stretchOf), windowMm)))
  const summed = (marks: readonly FlawMark[], windowMm: number) =>
    greatest(groups(marks).map(group => mostSpots(group.map(spotOf), windowMm)))
  const whole = (marks: readonly FlawMark[]) => covered(marks, Infinity)
  const leg = isFilletPiece(document.piece) ? document.piece.legMm : 0
  switch (id) {
    case 'cracks':
      return count(flaws('crack'))
    case 'craters':
      return count(tries.filter(mark => mark.kind === 'end' && mark.fault === 'crater'))
    case 'poor restarts':
      return count(tries.filter(mark => (mark.kind === 'restart' || mark.kind === 'tie-in') && mark.degree === 'poor'))
    case 'burn-through':
      return count(flaws('melt-through'))
    case 'arc strikes':
      return count(flaws('arc strike'))
    case 'pores':
      return count(flaws('porosity'))
    case 'largest pore':
      return worst(flaws('porosity'))
    case 'pores in 1 in':
      return summed(
        flaws('porosity').filter(mark => !under(mark.sizeMm ?? 0, DEEP_MM)),
        INCH,
      )
    case 'pores in 12 in':
      return summed(
        flaws('porosity').filter(mark => !under(mark.sizeMm ?? 0, DEEP_MM)),
        FOOT,
      )
    case 'undercut depth':
      return worst(flaws('undercut'))
    case 'undercut in 12 in':
      return covered(flaws('undercut'), FOOT)
    case 'deep undercut in 12 in':
      return covered(
        flaws('undercut').filter(mark => over(mark.sizeMm ?? 0, DEEP_MM)),
        FOOT,
      )
    case 'undercut in 100 mm':
      return covered(flaws('undercut'), 100)
    case 'overlap':
      return whole(flaws('overlap'))
    case 'not fused':
      return whole(flaws('incomplete fusion'))
    case 'not through':
      return whole(flaws('incomplete penetration'))
    case 'not through in 100 mm':
      return covered(flaws('incomplete penetration'), 100)
    case 'slag on the surface':
      return whole(flaws('slag'))
    case 'root concavity':
      return worst(flaws('root concavity'))
    case 'sagging':
      return worst(flaws('sagging'))
    case 'below the surface':
      return whole(flaws('underfill'))
    case 'stands through':
      return through(
        worst(flaws('excess penetration')),
        gauged(readings('penetration'), mm => mm),
      )
    case 'reinforcement':
      return gauged(readings('height'), mm => mm)
    case 'convexity':
      return gauged(readings('convexity'), mm => mm)
    case 'leg short by':
      return gauged(readings('upper leg', 'lower leg'), mm => leg - mm)
    case 'throat short by':
      return gauged(readings('throat'), mm => filletThroat(leg) - mm)
    case 'legs differ by':
      return legsDiffer(readings('upper leg'), readings('lower leg'))
    case 'misalignment':
      return { value: document.fitUp?.misalignmentMm ?? null, markIds: [] }
  }
}

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
