/**
 * Beads that cover a pad from edge to edge: n = 1 + ceil((W − w) / (w (1 − o))). Source: common practice.
 * @param coverMm width to cover, mm
 * @param beadMm bead width, mm
 * @param overlap share of the last bead covered, 0 to under 1
 * @throws RangeError when a bead has no width or the overlap leaves no step
 * @example beadsToCover(101.6, 9.525, 0.4) // 18
 */
export function beadsToCover(coverMm: number, beadMm: number, overlap: number): number {
  if (!(beadMm > 0)) throw new RangeError('A bead is wider than 0 mm')
  if (!(overlap >= 0 && overlap < 1)) throw new RangeError('Overlap is a share from 0 to under 1')
  return 1 + Math.max(0, Math.ceil((coverMm - beadMm) / (beadMm * (1 - overlap)) - 1e-9))
}
