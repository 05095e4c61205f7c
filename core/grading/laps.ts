import { mean } from '../statistics'
import { isPlate, isGauge, type Bead, type CouponDocument } from '../coupon'
import { pieceOf } from '../trade'
import { toeReadings } from './straightness'

/** How far a bead of a pad lies over the one before it. */
export interface Lap {
  readonly over: Bead
  readonly bead: Bead
  /** Share of the bead before that is covered; under 0 where plate shows between them. */
  readonly share: number
  readonly markIds: readonly string[]
}

/**
 * The overlap of each pair of beads on a pad whose near toes were gauged: what still shows of the bead before, from
 * its toe to the next one's, against its width.
 * Its width is what was gauged on it, else what was planned. Readings of a pair are best taken at the same places
 * along.
 * @returns a row a pair that could be measured, shares
 * @example laps(document)[0].share // 0.4 when 3/16 in shows of a 5/16 in bead
 */
export function laps(document: CouponDocument): readonly Lap[] {
  if (!isPlate(document.piece) || pieceOf(document.piece.kind).inRows) return []
  return document.beads.slice(1).flatMap((bead, index): Lap[] => {
    const over = document.beads[index]!
    const [before, here] = [toeReadings(document, over.id), toeReadings(document, bead.id)]
    if (before.length === 0 || here.length === 0) return []
    const widths = document.marks
      .filter(isGauge)
      .filter(mark => mark.of === 'width' && mark.beadId === over.id)
      .map(mark => mark.valueMm)
    const shows = Math.abs(mean(here.map(mark => mark.valueMm)) - mean(before.map(mark => mark.valueMm)))
    return [
      {
        over,
        bead,
        share: 1 - shows / (widths.length > 0 ? mean(widths) : over.widthMm),
        markIds: [...before, ...here].map(mark => mark.id),
      },
    ]
  })
}
