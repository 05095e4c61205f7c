import { inches, type LengthUnit } from '../units'

export interface RodSize {
  /** As it is asked for at the rod room's window: a fraction of an inch, or millimetres. */
  readonly name: string
  /** The name with its unit. */
  readonly label: string
  readonly unit: LengthUnit
  /** The inch size that it is sold for, by which tables are kept. */
  readonly soldFor: string
  readonly diameterMm: number
  readonly lengthMm: number
}

const inchSize = (name: string, inch: number): RodSize => ({
  name,
  label: `${name} in`,
  unit: 'in',
  soldFor: name,
  diameterMm: inches(inch),
  lengthMm: inches(14),
})
const metricSize = (diameterMm: number, soldFor: string, lengthMm: number): RodSize => {
  const name = `${diameterMm.toFixed(1)} mm`
  return { name, label: name, unit: 'mm', soldFor, diameterMm, lengthMm }
}

/**
 * Usual diameters and lengths. Source: AWS A5.1/A5.1M and A5.02, ISO 544 for those in millimetres, from memory, check
 * your copy.
 */
export const ROD_SIZES: readonly RodSize[] = [
  inchSize('3/32', 3 / 32),
  inchSize('1/8', 1 / 8),
  inchSize('5/32', 5 / 32),
  inchSize('3/16', 3 / 16),
  metricSize(2.5, '3/32', 350),
  metricSize(3.2, '1/8', 350),
  metricSize(4, '5/32', 350),
  metricSize(5, '3/16', 450),
]

/** All sizes, those of a school's own unit first: a metric school stocks metric rods. */
export const rodSizesFor = (unit: LengthUnit): readonly RodSize[] =>
  [...ROD_SIZES].sort((a, b) => Number(b.unit === unit) - Number(a.unit === unit))

/**
 * The standard size of a diameter in millimetres.
 * @throws RangeError naming the sizes there are
 * @example rodSizeOf(3.175).name // '1/8'
 */
export function rodSizeOf(diameterMm: number): RodSize {
  const found = ROD_SIZES.find(size => Math.abs(size.diameterMm - diameterMm) < 0.01)
  if (!found)
    throw new RangeError(`No rod of ${diameterMm} mm; there are ${ROD_SIZES.map(size => size.label).join(', ')}`)
  return found
}
