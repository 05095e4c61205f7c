import type { CouponDocument } from '../coupon'
import { inches } from '../units'

/** Travel of a stringer by hand, mm of bead in a minute of arc. Common practice: 8 in a minute. */
export const TRAVEL_MM_PER_MINUTE = inches(8)

/**
 * Minutes at the arc that a coupon took: by the stopwatch where a bead was timed, else as long as that length of bead
 * takes by hand. A root's own side is seen, not welded.
 * @example arcMinutes({ beads: [{ fromMm: 0, toMm: 203.2 }] }) // 1
 */
export const arcMinutes = ({ beads }: Pick<CouponDocument, 'beads'>): number =>
  beads
    .filter(bead => bead.face !== 'root')
    .reduce(
      (sum, { arcSeconds, fromMm, toMm }) =>
        sum + (arcSeconds === undefined ? (toMm - fromMm) / TRAVEL_MM_PER_MINUTE : arcSeconds / 60),
      0,
    )
