import { inches } from '../units'

export interface RodSize {
  /** As it is asked for at the rod room's window. */
  readonly name: string
  readonly diameterMm: number
  readonly lengthMm: number
}

/** Usual diameters and lengths. Source: AWS A5.1/A5.1M and A5.02 standard sizes, from memory, check your copy. */
export const ROD_SIZES: readonly RodSize[] = [
  { name: '3/32', diameterMm: inches(3 / 32), lengthMm: inches(14) },
  { name: '1/8', diameterMm: inches(1 / 8), lengthMm: inches(14) },
  { name: '5/32', diameterMm: inches(5 / 32), lengthMm: inches(14) },
  { name: '3/16', diameterMm: inches(3 / 16), lengthMm: inches(14) },
]

/**
 * The standard size of a diameter in millimetres.
 * @throws RangeError naming the sizes there are
 * @example rodSizeOf(3.175).name // '1/8'
 */
export function rodSizeOf(diameterMm: number): RodSize {
  const found = ROD_SIZES.find(size => Math.abs(size.diameterMm - diameterMm) < 0.01)
  if (!found)
    throw new RangeError(`No rod of ${diameterMm} mm; there are ${ROD_SIZES.map(size => `${size.name} in`).join(', ')}`)
  return found
}
