import { MM_PER_INCH, type LengthUnit } from '../units'

/** A limit as a code prints it, in inches and in millimetres: rounded apart, and never one worked out from the other. */
export interface Printed {
  readonly in: number
  readonly mm: number
}

/** A length in the unit it is held in. */
export interface Size {
  readonly unit: LengthUnit
  readonly value: number
}

/** Both values of a limit. @example printed(3 / 8, 10) */
export const printed = (inch: number, mm: number): Printed => ({ in: inch, mm })

/** A length kept in millimetres as the house measures it. Tolerant of the millimetre's own rounding of an inch fraction. */
export const sizeIn = (mm: number, unit: LengthUnit): Size => ({ unit, value: unit === 'mm' ? mm : mm / MM_PER_INCH })

const CLOSE = 1e-6

/** Whether a size is over a limit, in the size's own unit. At the limit it is not. */
export const isOver = (size: Size, limit: Printed): boolean => size.value > limit[size.unit] + CLOSE
/** Whether a size is under a limit. At the limit it is not. */
export const isUnder = (size: Size, limit: Printed): boolean => size.value < limit[size.unit] - CLOSE

/** From a least to a most, in one unit; no least or no most is `null`. */
export interface SizeRange {
  readonly unit: LengthUnit
  readonly least: number | null
  readonly most: number | null
}

/** Whether a size lies in a range, ends included. */
export const isWithin = ({ value }: Size, { least, most }: SizeRange): boolean => (least === null || value >= least - CLOSE) && (most === null || value <= most + CLOSE)

/** A range in words. @example sayRange({ unit: 'in', least: 0.125, most: null }) // '1/8 in and over' */
export function sayRange({ unit, least, most }: SizeRange): string {
  const say = (value: number) => (unit === 'mm' ? `${Math.round(value * 10) / 10}` : inchWords(value))
  if (least === null && most === null) return 'any'
  if (most === null) return `${say(least!)} ${unit} and over`
  if (least === null) return `up to ${say(most)} ${unit}`
  return `${say(least)} to ${say(most)} ${unit}`
}

/** A 64th where it is one, else thousandths. */
function inchWords(value: number): string {
  const in64 = value * 64
  if (Math.abs(in64 - Math.round(in64)) > 1e-4) return String(Math.round(value * 1000) / 1000)
  const [whole, part] = [Math.floor(Math.round(in64) / 64), Math.round(in64) % 64]
  if (part === 0) return String(whole)
  let [top, bottom] = [part, 64]
  while (top % 2 === 0) [top, bottom] = [top / 2, bottom / 2]
  return whole > 0 ? `${whole} ${top}/${bottom}` : `${top}/${bottom}`
}
