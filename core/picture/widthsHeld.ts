import { isGauge, type Bead, type CouponDocument } from '../coupon'
import { betaQuantile, mean } from '../statistics'
import { isBare } from './bareBead'
import { spanOf, type PictureShows } from './couponPicture'

/** A bead's width as a reader gauged it, and as its picture shows it, mm. */
export interface WidthHeld {
  readonly gaugedMm: number
  readonly seenMm: number
}

/**
 * The beads of a coupon that a picture can be held against, each with the last width that was gauged on it, mm: both
 * toes are seen on the picture's side, and the place of the gauge lies on the part that the picture shows.
 */
export function gaugedBeads(
  document: CouponDocument,
  { side, lies }: PictureShows,
): readonly { readonly bead: Bead; readonly gaugedMm: number }[] {
  const { fromMm, toMm } = spanOf(document.piece, lies?.quarter ?? null)
  const gauges = document.marks
    .filter(isGauge)
    .filter(({ of, atMm }) => of === 'width' && atMm >= fromMm && atMm <= toMm)
  return document.beads
    .filter(bead => (bead.face ?? 'face') === side && isBare(document, bead))
    .flatMap(bead => {
      const last = gauges.findLast(gauge => gauge.beadId === bead.id)
      return last ? [{ bead, gaugedMm: last.valueMm }] : []
    })
}

/** How far a reader's gauged widths lie from those on pictures, mm: over 0 is gauged wider than seen. */
export interface ReaderWidths {
  readonly beads: number
  readonly meanMm: number
  /** 95 % interval of the mean, by Student's t. */
  readonly lowMm: number
  readonly highMm: number
  /** Standard deviation of one bead. */
  readonly strayMm: number
}

/** Fewest beads from which a figure is said: an interval from less tells nothing. */
export const FEWEST_BEADS = 5

/** A width taken from the picture itself is kept as a tenth of a millimetre of it, and says nothing of a reader. */
const isOwn = ({ gaugedMm, seenMm }: WidthHeld) => Math.abs(gaugedMm - Math.round(seenMm * 10) / 10) > 1e-6

/** Student's t, two-sided 95 %: its square over itself and its degrees of freedom has a beta distribution. */
function student95(degrees: number): number {
  const share = betaQuantile(0.95, 0.5, degrees / 2)
  return Math.sqrt((degrees * share) / (1 - share))
}

/**
 * A reader's own figure from beads that were gauged by hand and seen on a picture; widths that were taken from the
 * picture are left out.
 * @returns null for fewer than {@link FEWEST_BEADS} beads
 * @example readerWidths(held)?.meanMm // 0.4: gauges 0.4 mm wider than the pictures show
 */
export function readerWidths(held: readonly WidthHeld[]): ReaderWidths | null {
  const off = held.filter(isOwn).map(({ gaugedMm, seenMm }) => gaugedMm - seenMm)
  if (off.length < FEWEST_BEADS) return null
  const meanMm = mean(off)
  const strayMm = Math.sqrt(off.reduce((sum, value) => sum + (value - meanMm) ** 2, 0) / (off.length - 1))
  const half = (student95(off.length - 1) * strayMm) / Math.sqrt(off.length)
  return { beads: off.length, meanMm, lowMm: meanMm - half, highMm: meanMm + half, strayMm }
}
