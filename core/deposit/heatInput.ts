/** What an arc puts into the plate for each millimetre of weld, kJ/mm. */
export interface HeatInput {
  /** Arc energy, as AWS and ASME count it: no efficiency factor. */
  readonly kjPerMm: number
  /** With the thermal efficiency of ISO/TR 17671-1 and EN 1011-1; never compare it with an AWS limit. */
  readonly isoKjPerMm: number
}

/** Thermal efficiency of SMAW. Source: ISO/TR 17671-1 and EN 1011-1, Table 1, from memory, check your copy. */
export const SMAW_EFFICIENCY = 0.8

/**
 * Heat input of an arc: V A 60 / travel. Source: AWS D1.1 and ASME IX QW-409.1(a); ISO/TR 17671-1 for the second form.
 * @param volts arc volts, V
 * @param currentA arc current, A
 * @param travelMmPerMin travel speed, mm/min
 * @throws RangeError when one of them is 0 or less
 * @example heatInput(25, 125, 152.4).kjPerMm * 25.4 // 31.25 kJ/in
 */
export function heatInput(volts: number, currentA: number, travelMmPerMin: number): HeatInput {
  if (!(volts > 0)) throw new RangeError('Arc volts are more than 0 V')
  if (!(currentA > 0)) throw new RangeError('Current is more than 0 A')
  if (!(travelMmPerMin > 0)) throw new RangeError('Travel is more than 0')
  const kjPerMm = (volts * currentA * 60) / (1000 * travelMmPerMin)
  return { kjPerMm, isoKjPerMm: kjPerMm * SMAW_EFFICIENCY }
}
