import { formatFraction, inches, MM_PER_INCH, round, type LengthUnit, over, under } from '../units'

/**
 * A limit as a code prints it, in inches and in millimetres: rounded apart, and never one worked out from the
 * other.
 */
export interface Printed {
  readonly in: number
  readonly mm: number
}

/** A length in the unit it is held in. */
export interface Size {
  readonly unit: LengthUnit
  readonly value: number
}

/** Which sizes a row is of: every bound that is there must hold; none is any size. */
export interface SizeTest {
  readonly from?: Printed
  readonly over?: Printed
  readonly below?: Printed
  readonly upTo?: Printed
}

/**
 * An end of a qualified range: a printed size, a multiple of the test's own, or the greater of the two; null is no
 * limit.
 */
export type Bound = null | { readonly size?: Printed; readonly times?: number }

/** From a least to a most, in one unit; no least or no most is `null`. */
export interface SizeRange {
  readonly unit: LengthUnit
  readonly least: number | null
  readonly most: number | null
}

/** Both values of a limit. @example printed(3 / 8, 10) */
export const printed = (inch: number, mm: number): Printed => ({ in: inch, mm })

/** A length kept in millimetres as it is measured in a unit. */
export const sizeIn = (mm: number, unit: LengthUnit): Size => ({ unit, value: unit === 'mm' ? mm : mm / MM_PER_INCH })

/** Whether a size is over a limit, in the size's own unit. At the limit it is not. */
export const isOver = (size: Size, limit: Printed): boolean => over(size.value, limit[size.unit])
/** Whether a size is under a limit. At the limit it is not. */
export const isUnder = (size: Size, limit: Printed): boolean => under(size.value, limit[size.unit])

/**
 * Whether a millimetre size is the inch size of a limit by its trade name: a 3/8 in plate is sold as 9.5 mm, and is no
 * thinner than the plate of that line. Only for what is bought by name; what is measured is held against its own unit.
 */
const isSoldAs = ({ unit, value }: Size, limit: Printed): boolean =>
  unit === 'mm' && Math.abs(limit.in * MM_PER_INCH - value) < SOLD_MM
/** Millimetre sizes are named to the tenth. */
const SOLD_MM = 0.051

/** Whether a size is one that a row is of. A plate has no diameter (null): only a row that asks for none is of it. */
export function meets(size: Size | null, { from, over, below, upTo }: SizeTest): boolean {
  if (size === null) return !from && !over && !below && !upTo
  return (
    !(from && !isSoldAs(size, from) && isUnder(size, from)) &&
    !(over && (isSoldAs(size, over) || !isOver(size, over))) &&
    !(below && (isSoldAs(size, below) || !isUnder(size, below))) &&
    !(upTo && !isSoldAs(size, upTo) && isOver(size, upTo))
  )
}

/**
 * What a bound comes to for a test of some size. @example boundFor({ times: 0.5, size: printed(4, 100) }, { unit:
 * 'in', value: 6.625 }) // 4
 */
export const boundFor = (bound: Bound, own: Size): number | null =>
  bound === null ? null : Math.max(bound.size?.[own.unit] ?? 0, (bound.times ?? 0) * own.value)

/** Whether a size lies in a range, ends included. */
export const isWithin = ({ value }: Size, { least, most }: SizeRange): boolean =>
  (least === null || !under(value, least)) && (most === null || !over(value, most))

/** A size in words: inches by a 64th where it is one, else by thousandths. @example saySize(0.125, 'in') // '1/8' */
export function saySize(value: number, unit: LengthUnit): string {
  if (unit === 'mm') return String(round(value, 1))
  const in64 = value * 64
  return Math.abs(in64 - Math.round(in64)) > 1e-4 ? String(round(value, 3)) : formatFraction(inches(value), 64)
}

/** A limit as the code prints it in one unit. @example sayPrinted(printed(3 / 8, 10), 'mm') // '10 mm' */
export const sayPrinted = (limit: Printed, unit: LengthUnit): string => `${saySize(limit[unit], unit)} ${unit}`

/** A range in words. @example sayPrintedRange({ unit: 'in', least: 0.125, most: null }) // '1/8 in and over' */
export function sayPrintedRange({ unit, least, most }: SizeRange): string {
  if (least === null && most === null) return 'any'
  if (most === null) return `${saySize(least!, unit)} ${unit} and over`
  if (least === null) return `up to ${saySize(most, unit)} ${unit}`
  return `${saySize(least, unit)} to ${saySize(most, unit)} ${unit}`
}

/** Which sizes a row is of, in words. @example saySizeTest({ over: printed(3 / 8, 10) }, 'in') // 'over 3/8 in' */
export function saySizeTest({ from, over, below, upTo }: SizeTest, unit: LengthUnit): string {
  const say = (word: string, limit: Printed | undefined) => (limit ? [`${word} ${sayPrinted(limit, unit)}`] : [])
  return [...say('from', from), ...say('over', over), ...say('to under', below), ...say('to', upTo)].join(' ')
}
