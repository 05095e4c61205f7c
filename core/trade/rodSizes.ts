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

const inchSize = (name: string, inch: number, longInch = 14): RodSize => ({
  name,
  label: `${name} in`,
  unit: 'in',
  soldFor: name,
  diameterMm: inches(inch),
  lengthMm: inches(longInch),
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
  inchSize('1/16', 1 / 16, 9),
  inchSize('5/64', 5 / 64, 12),
  inchSize('3/32', 3 / 32),
  inchSize('1/8', 1 / 8),
  inchSize('5/32', 5 / 32),
  inchSize('3/16', 3 / 16),
  metricSize(1.6, '1/16', 250),
  metricSize(2, '5/64', 300),
  metricSize(2.5, '3/32', 350),
  metricSize(3.2, '1/8', 350),
  metricSize(4, '5/32', 350),
  metricSize(5, '3/16', 450),
]

/** For sheet and thin edges: only rods of these classes are made so thin. Source: A5.1 and A5.4, from memory. */
const THIN: ReadonlySet<string> = new Set(['1/16', '5/64'])
const MADE_THIN: ReadonlySet<string> = new Set(['E6012', 'E6013', 'E308L-16'])

/** The sizes in which every class is made. */
export const USUAL_SIZES: readonly RodSize[] = ROD_SIZES.filter(size => !THIN.has(size.soldFor))

/**
 * Whether rods of a class are made in a size; never where there is no such size.
 * @param diameterMm core diameter, mm
 * @example isMade('E7018', 1.5875) // false: 1/16 in is for rutile rods
 */
export function isMade(classification: string, diameterMm: number): boolean {
  const size = ROD_SIZES.find(one => isSize(one, diameterMm))
  return size !== undefined && (!THIN.has(size.soldFor) || MADE_THIN.has(classification))
}

/** Why rods of a class are not to be had in a size. @example notMade('E7018', 1.6) // 'E7018 is not made in 1.6 mm' */
export const notMade = (classification: string, diameterMm: number): string =>
  `${classification} is not made in ${rodSizeOf(diameterMm).label}`

/** The sizes of a class, those of a school's own unit first: a metric school stocks metric rods. */
export const rodSizesFor = (unit: LengthUnit, classification: string): readonly RodSize[] =>
  ROD_SIZES.filter(size => isMade(classification, size.diameterMm)).sort(
    (a, b) => Number(b.unit === unit) - Number(a.unit === unit),
  )

/** The rod that most work is run with, in a school's own unit: 1/8 in, or 3.2 mm. */
export const usualSize = (unit: LengthUnit): RodSize =>
  ROD_SIZES.find(size => size.unit === unit && size.soldFor === '1/8')!

const isSize = (size: RodSize, diameterMm: number) => Math.abs(size.diameterMm - diameterMm) < 0.01

/**
 * The standard size of a diameter in millimetres.
 * @throws RangeError naming the sizes there are
 * @example rodSizeOf(3.175).name // '1/8'
 */
export function rodSizeOf(diameterMm: number): RodSize {
  const found = ROD_SIZES.find(size => isSize(size, diameterMm))
  if (!found)
    throw new RangeError(`No rod of ${diameterMm} mm; there are ${ROD_SIZES.map(size => size.label).join(', ')}`)
  return found
}
