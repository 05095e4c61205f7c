import { over } from '../units'
import { isGauge, type Bead, type CouponDocument, type GaugeMark } from '../coupon'
import type { HouseRules } from '../house'

interface Point {
  readonly x: number
  readonly y: number
}

/**
 * How far a line of points departs from straight: the greatest distance from the line to which the greatest
 * distance is least (minimum zone).
 * Source: ISO 12780-1, straightness by the minimum zone. Distances are taken across, which on a bead is the same to
 * a thousandth.
 * @returns mm; 0 for fewer than three points
 * @example offStraight([{ x: 0, y: 0 }, { x: 50, y: 2 }, { x: 100, y: 0 }]) // 1
 */
export function offStraight(points: readonly Point[]): number {
  if (points.length < 3) return 0
  let best = Infinity
  for (const [index, one] of points.entries()) {
    for (const other of points.slice(index + 1)) {
      if (other.x === one.x) continue
      // The narrowest zone has two of the points on one of its sides.
      const slope = (other.y - one.y) / (other.x - one.x)
      const off = points.map(point => point.y - one.y - slope * (point.x - one.x))
      best = Math.min(best, (Math.max(...off) - Math.min(...off)) / 2)
    }
  }
  return Number.isFinite(best) ? best : 0
}

/** How straight a bead ran, by the readings of its near toe. */
export interface Straightness {
  readonly bead: Bead
  readonly offMm: number
  readonly markIds: readonly string[]
}

/** The readings of a bead's near toe, along it. */
export const toeReadings = (document: CouponDocument, beadId: string): readonly GaugeMark[] =>
  document.marks
    .filter(isGauge)
    .filter(mark => mark.of === 'edge to toe' && mark.beadId === beadId)
    .sort((a, b) => a.atMm - b.atMm)

/**
 * Straightness of every bead whose toe was gauged at three places or more, over the length that the house holds it.
 * @returns a row a bead, in the order they were laid, mm
 */
export function straightness(document: CouponDocument, rules: Pick<HouseRules, 'straight'>): readonly Straightness[] {
  return document.beads.flatMap((bead): Straightness[] => {
    const read = toeReadings(document, bead.id)
    if (read.length < 3) return []
    const windows = read.map(first =>
      read.filter(mark => mark.atMm >= first.atMm && !over(mark.atMm, first.atMm + rules.straight.perMm)),
    )
    const offMm = Math.max(...windows.map(marks => offStraight(marks.map(mark => ({ x: mark.atMm, y: mark.valueMm })))))
    return [{ bead, offMm, markIds: read.map(mark => mark.id) }]
  })
}
