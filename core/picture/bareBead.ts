import type { Bead, CouponDocument } from '../coupon'
import { isLastLayer, isPlate } from '../coupon'

/** Beads that meet at their toes touch; one that covers a toe reaches farther in than this share of the bead. */
const COVERS = 0.1

/**
 * Whether both toes of a bead can be seen: no bead that was laid after it, on the same side and along the same way,
 * lies over one of them.
 * @example isBare(aCoupon(), aCoupon().beads.at(-1)!) // true: the last bead of a pad
 */
export function isBare(document: Pick<CouponDocument, 'piece' | 'beads' | 'passes'>, bead: Bead): boolean {
  const covers = (other: Bead) =>
    (other.face ?? 'face') === (bead.face ?? 'face') &&
    other.fromMm < bead.toMm &&
    other.toMm > bead.fromMm &&
    (other.widthMm + bead.widthMm) / 2 - Math.abs(other.offsetMm - bead.offsetMm) > COVERS * bead.widthMm
  if (!isPlate(document.piece) && bead.face !== 'root' && !isLastLayer(document, bead)) return false
  return !document.beads.slice(document.beads.findIndex(one => one.id === bead.id) + 1).some(covers)
}
