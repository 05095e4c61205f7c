import { mean } from '../statistics'
import { over } from '../units'
import type { Bead, CouponDocument, Degree, FlawMark, TryKind } from '../coupon'
import { isFlaw, isPlate, isGauge, isTry, weldedLength } from '../coupon'
import type { HouseRules } from '../house'
import { wantedWidth } from '../house'
import { discontinuityOf, pieceOf, type DiscontinuityId } from '../trade'
import { ELEMENTS, type ElementId } from './elements'
import { laps } from './laps'
import { offSize, ROOT_LIMITS_MM, sizeLimit } from './sizeLimits'
import { unionLength, type Span } from './spans'
import { straightness } from './straightness'

/**
 * How one element came out: how much was tried, how much of it was sound or workable, and the marks that speak
 * against it.
 */
export interface Measure {
  readonly element: ElementId
  readonly tried: number
  readonly sound: number
  readonly workable: number
  readonly markIds: readonly string[]
}

export interface Spread {
  readonly count: number
  readonly meanMm: number
  /** Half the range: "3/8 ± 1/32". */
  readonly plusMinusMm: number
}

export interface Measures {
  readonly elements: readonly Measure[]
  readonly weldedMm: number
  readonly undercutMm: number
  readonly deepestUndercutMm: number
  readonly cracks: readonly string[]
  readonly burnThroughs: readonly string[]
  readonly strayStrikes: readonly string[]
  /** Width readings, or null when none were taken. */
  readonly width: Spread | null
  readonly height: Spread | null
}

/** A pore or a short flaw spoils at least this much of the bead around it, mm. Source: common practice. */
const LEAST_SPOILT_MM = 6.35

/** What a flaw takes away from. */
const spoils = ({ flaw }: FlawMark) => discontinuityOf(flaw).spoils

/**
 * Everything that can be counted or measured on a coupon, from its marks alone.
 * Starts, restarts, tie-ins and ends are counted tries; run and toes are lengths (mm; toes count both sides of each
 * bead);
 * the rest are counted by pair, bead or coupon.
 * @example measureCoupon(document, rules).elements.find(m => m.element === 'restart') // { tried: 8, sound: 5, ... }
 */
export function measureCoupon(document: CouponDocument, rules: HouseRules): Measures {
  const flaws = document.marks.filter(isFlaw)
  const weldedMm = weldedLength(document)
  const undercuts = flaws.filter(flaw => flaw.flaw === 'undercut')
  const measured: Record<ElementId, Omit<Measure, 'element'>> = {
    'start': countTries(document, 'start'),
    'restart': countTries(document, 'restart'),
    'tie-in': countTries(document, 'tie-in'),
    'run': runMeasure(document, flaws, weldedMm),
    'root': rootMeasure(document, flaws),
    'toes': toesMeasure(document, flaws, weldedMm),
    'overlap': beadMeasure(flaws, 'lap', lappedPairs(document), offLaps(document, rules)),
    'width': widthMeasure(document, flaws, rules),
    'size': sizeMeasure(document, rules),
    'straightness': beadMeasure(flaws, 'crooked', laidBeads(document).length, offLine(document, rules)),
    'ends': countTries(document, 'end'),
    'clean-up': cleanUpMeasure(document.cleanUp, flaws),
  }
  return {
    elements: ELEMENTS.map(({ id }) => ({ element: id, ...measured[id] })),
    weldedMm,
    undercutMm: undercuts.reduce((sum, flaw) => sum + flaw.toMm - flaw.atMm, 0),
    deepestUndercutMm: Math.max(0, ...undercuts.map(flaw => flaw.sizeMm ?? 0)),
    cracks: idsOf(flaws, 'crack'),
    burnThroughs: idsOf(flaws, 'melt-through'),
    strayStrikes: idsOf(flaws, 'arc strike'),
    width: spreadOf(document, 'width'),
    height: spreadOf(document, 'height'),
  }
}

function idsOf(flaws: readonly FlawMark[], flaw: DiscontinuityId): string[] {
  return flaws.filter(mark => mark.flaw === flaw).map(mark => mark.id)
}

function countTries(document: CouponDocument, kind: TryKind): Omit<Measure, 'element'> {
  const tries = document.marks.filter(isTry).filter(mark => mark.kind === kind)
  return {
    tried: tries.length,
    sound: tries.filter(mark => mark.degree === 'sound').length,
    workable: tries.filter(mark => mark.degree === 'workable').length,
    markIds: tries.filter(mark => mark.degree !== 'sound').map(mark => mark.id),
  }
}

function spoiltBy(bead: Bead, flaw: FlawMark): Span {
  const short = Math.max(0, LEAST_SPOILT_MM - (flaw.toMm - flaw.atMm)) / 2
  return { fromMm: Math.max(bead.fromMm, flaw.atMm - short), toMm: Math.min(bead.toMm, flaw.toMm + short) }
}

function runMeasure(document: CouponDocument, flaws: readonly FlawMark[], weldedMm: number): Omit<Measure, 'element'> {
  const lanes = laidBeads(document)
  const ids = new Set(lanes.map(bead => bead.id))
  const spoiling = flaws.filter(flaw => spoils(flaw) === 'run' && ids.has(flaw.beadId))
  const spoilt = lanes.reduce(
    (sum, bead) =>
      sum + unionLength(spoiling.filter(flaw => flaw.beadId === bead.id).map(flaw => spoiltBy(bead, flaw))),
    0,
  )
  return { tried: weldedMm, sound: weldedMm - spoilt, workable: 0, markIds: spoiling.map(flaw => flaw.id) }
}

/** The beads that were laid: all lanes but the root side. */
export const laidBeads = ({ beads }: CouponDocument): readonly Bead[] => beads.filter(bead => bead.face !== 'root')

/** What may be of it before the root is spoilt there; nothing of all else. */
const ALLOWED_MM: Readonly<Partial<Record<DiscontinuityId, number>>> = {
  'root concavity': ROOT_LIMITS_MM.concave,
  'excess penetration': ROOT_LIMITS_MM.through,
}

function rootMeasure({ beads }: CouponDocument, flaws: readonly FlawMark[]): Omit<Measure, 'element'> {
  const lane = beads.find(bead => bead.face === 'root')
  if (!lane) return { tried: 0, sound: 0, workable: 0, markIds: [] }
  const spoiling = flaws.filter(
    flaw => flaw.beadId === lane.id && (flaw.sizeMm === null || over(flaw.sizeMm, ALLOWED_MM[flaw.flaw] ?? 0)),
  )
  const tried = lane.toMm - lane.fromMm
  return {
    tried,
    sound: tried - unionLength(spoiling.map(flaw => spoiltBy(lane, flaw))),
    workable: 0,
    markIds: spoiling.map(flaw => flaw.id),
  }
}

/** Pairs of beads that lap one another: neighbours on a pad, in a joint those of one layer. */
function lappedPairs({ piece, beads, passes }: CouponDocument): number {
  if (isPlate(piece)) return pieceOf(piece.kind).inRows ? 0 : Math.max(0, beads.length - 1)
  const here = (passes ?? []).filter(pass => beads.some(bead => bead.passId === pass.id && bead.face !== 'root'))
  return here.length - new Set(here.map(pass => `${pass.face} ${pass.layer}`)).size
}

function toesMeasure(document: CouponDocument, flaws: readonly FlawMark[], weldedMm: number): Omit<Measure, 'element'> {
  const spoiling = flaws.filter(
    flaw => spoils(flaw) === 'toes' && laidBeads(document).some(bead => bead.id === flaw.beadId),
  )
  const lanes = new Map<string, Span[]>()
  for (const flaw of spoiling) {
    for (const side of flaw.side === 'both' || flaw.side === null ? ['upper', 'lower'] : [flaw.side]) {
      const key = `${flaw.beadId} ${side}`
      lanes.set(key, [...(lanes.get(key) ?? []), { fromMm: flaw.atMm, toMm: flaw.toMm }])
    }
  }
  const spoilt = [...lanes.values()].reduce((sum, spans) => sum + unionLength(spans), 0)
  return { tried: 2 * weldedMm, sound: 2 * weldedMm - spoilt, workable: 0, markIds: spoiling.map(flaw => flaw.id) }
}

/** What gauge readings say against a bead. */
interface GaugedOff {
  readonly beadId: string
  readonly markIds: readonly string[]
}

const offLine = (document: CouponDocument, rules: HouseRules): GaugedOff[] =>
  straightness(document, rules)
    .filter(row => over(row.offMm, rules.straight.offMm))
    .map(({ bead, markIds }) => ({ beadId: bead.id, markIds }))

const offLaps = (document: CouponDocument, { overlap }: HouseRules): GaugedOff[] =>
  laps(document)
    .filter(row => over(overlap.low, row.share) || over(row.share, overlap.high))
    .map(({ bead, markIds }) => ({ beadId: bead.id, markIds }))

function beadMeasure(
  flaws: readonly FlawMark[],
  flaw: DiscontinuityId,
  tried: number,
  gauged: readonly GaugedOff[],
): Omit<Measure, 'element'> {
  const against = flaws.filter(mark => mark.flaw === flaw)
  const worst = new Map<string, number>(gauged.map(row => [row.beadId, 3]))
  for (const mark of against) worst.set(mark.beadId, Math.max(worst.get(mark.beadId) ?? 0, mark.severity))
  const light = [...worst.values()].filter(severity => severity === 1).length
  return {
    tried,
    sound: Math.max(0, tried - worst.size),
    workable: Math.min(light, tried),
    markIds: [...against.map(mark => mark.id), ...gauged.flatMap(row => row.markIds)],
  }
}

function widthMeasure(
  document: CouponDocument,
  flaws: readonly FlawMark[],
  rules: HouseRules,
): Omit<Measure, 'element'> {
  const plate = isPlate(document.piece)
  const { lowMm, highMm } = plate ? wantedWidth(rules, document.ticket.diameterMm) : { lowMm: 0, highMm: Infinity }
  const readings = document.marks
    .filter(isGauge)
    .filter(mark => mark.of === 'width' && (plate || laidBeads(document).some(bead => bead.id === mark.beadId)))
  const usual = readings.length > 0 ? mean(readings.map(mark => mark.valueMm)) : 0
  const off = readings.filter(
    mark =>
      over(Math.abs(mark.valueMm - usual), rules.widthEvenMm) ||
      over(lowMm, mark.valueMm) ||
      over(mark.valueMm, highMm),
  )
  const uneven = flaws.filter(flaw => flaw.flaw === 'irregular width')
  const beads = new Set([...off, ...uneven].map(mark => mark.beadId))
  const tried = laidBeads(document).length
  return { tried, sound: tried - beads.size, workable: 0, markIds: [...off, ...uneven].map(mark => mark.id) }
}

/** Readings that a joint sets a limit to. */
function sizeMeasure(document: CouponDocument, rules: HouseRules): Omit<Measure, 'element'> {
  const judged = document.marks.filter(isGauge).filter(mark => sizeLimit(document, mark, rules) !== null)
  const off = judged.filter(mark => offSize(document, mark, rules))
  return { tried: judged.length, sound: judged.length - off.length, workable: 0, markIds: off.map(mark => mark.id) }
}

function cleanUpMeasure(cleanUp: Degree, flaws: readonly FlawMark[]): Omit<Measure, 'element'> {
  const spatter = flaws.filter(flaw => flaw.flaw === 'spatter' && flaw.severity > 1)
  const sound = cleanUp === 'sound' && spatter.length === 0
  return {
    tried: 1,
    sound: sound ? 1 : 0,
    workable: !sound && cleanUp !== 'poor' ? 1 : 0,
    markIds: spatter.map(flaw => flaw.id),
  }
}

function spreadOf(document: CouponDocument, of: 'width' | 'height'): Spread | null {
  const values = document.marks
    .filter(isGauge)
    .filter(mark => mark.of === of)
    .map(mark => mark.valueMm)
  if (values.length === 0) return null
  return {
    count: values.length,
    meanMm: values.reduce((sum, value) => sum + value, 0) / values.length,
    plusMinusMm: (Math.max(...values) - Math.min(...values)) / 2,
  }
}
