import { heatInput } from '../deposit'

/** What a stopwatch on the arc and a ruler on the bead give. */
export interface ArcRun {
  readonly travelMmPerMin: number
  readonly kjPerMm: number
  /** Travel over the card's target: 1 is on it. */
  readonly ofTarget: number
}

/**
 * Travel speed and heat of a timed bead, beside the card's target.
 * @param lengthMm bead laid, mm
 * @param seconds arc time, s
 * @param volts arc volts, V
 * @throws RangeError when a length or time is 0 or less
 * @example arcRun({ lengthMm: 152.4, seconds: 36, currentA: 125, volts: 23, targetMmPerMin: 254 }).travelMmPerMin
 *   // 254
 */
export function arcRun({
  lengthMm,
  seconds,
  currentA,
  volts,
  targetMmPerMin,
}: {
  lengthMm: number
  seconds: number
  currentA: number
  volts: number
  targetMmPerMin: number
}): ArcRun {
  if (!(lengthMm > 0)) throw new RangeError('The bead is longer than 0')
  if (!(seconds > 0)) throw new RangeError('Arc time is more than 0 s')
  const travelMmPerMin = (lengthMm / seconds) * 60
  return {
    travelMmPerMin,
    kjPerMm: heatInput(volts, currentA, travelMmPerMin).kjPerMm,
    ofTarget: travelMmPerMin / targetMmPerMin,
  }
}
