import { over, under } from './tolerance'
/** The unit that a school's rulers and screens show. Documents always hold millimetres. */
export type LengthUnit = 'in' | 'mm'

/** Millimetres in an inch, exact by definition (international yard and pound agreement, 1959). */
export const MM_PER_INCH = 25.4

/**
 * Inches as millimetres.
 * @example inches(1 / 8) // 3.175
 */
export function inches(value: number): number {
  return value * MM_PER_INCH
}

const NUMBER = String.raw`(\d+(?:\.\d+)?|\.\d+)`
const MIXED = new RegExp(String.raw`^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*/\s*(\d+)$`)
const DECIMAL = new RegExp(`^${NUMBER}$`)
const SUFFIX = /(mm|inches|inch|in\.?|"|″)$/i

/**
 * Reads a length as a welder types it: `1/8`, `1 1/2`, `1-1/2`, `.25`, `6"`, `3.2 mm`.
 * A number without a unit is in `unit`.
 * @returns millimetres, zero or more
 * @throws RangeError that says what would be right
 * @example parseLength('1 1/2', 'in') // 38.1
 */
export function parseLength(text: string, unit: LengthUnit): number {
  const trimmed = text.trim()
  const suffix = SUFFIX.exec(trimmed)
  const said: LengthUnit = suffix ? (suffix[1]!.toLowerCase() === 'mm' ? 'mm' : 'in') : unit
  const body = suffix ? trimmed.slice(0, suffix.index).trim() : trimmed
  const scale = said === 'in' ? MM_PER_INCH : 1
  const mixed = MIXED.exec(body)
  if (mixed) {
    const denominator = Number(mixed[3])
    if (denominator === 0) throw new RangeError('A fraction cannot have 0 below the line')
    return (Number(mixed[1] ?? 0) + Number(mixed[2]) / denominator) * scale
  }
  const decimal = DECIMAL.exec(body)
  if (decimal) return Number(decimal[1]) * scale
  throw new RangeError(`"${trimmed}" is not a length; write it like ${unit === 'in' ? '1 1/2 or 3/32' : '40 or 2.5'}`)
}

/**
 * A number of inches as a whole and a fraction in lowest terms, to the nearest 1/`denominator`.
 * @param mm millimetres
 * @example formatFraction(33.3375, 16) // '1 5/16'
 */
export function formatFraction(mm: number, denominator = 16): string {
  const parts = Math.round((Math.abs(mm) / MM_PER_INCH) * denominator)
  const whole = Math.floor(parts / denominator)
  let top = parts % denominator
  let bottom = denominator
  while (top > 0 && top % 2 === 0) {
    top /= 2
    bottom /= 2
  }
  const sign = mm < 0 && parts > 0 ? '-' : ''
  if (top === 0) return `${sign}${whole}`
  return whole === 0 ? `${sign}${top}/${bottom}` : `${sign}${whole} ${top}/${bottom}`
}

/**
 * A length as the school's screens show it, with its unit.
 * Inches go to the nearest 1/16 (1/32 under half an inch, where undercut, rods and bead widths live); millimetres
 * to 1 (0.1 under 10).
 * @param mm millimetres
 * @example formatLength(31.75, 'in') // '1 1/4 in'
 */
export function formatLength(mm: number, unit: LengthUnit): string {
  if (unit === 'mm') return `${Math.abs(mm) < 10 ? Math.round(mm * 10) / 10 : Math.round(mm)} mm`
  return `${formatFraction(mm, Math.abs(mm) < inches(1 / 2) ? 32 : 16)} in`
}

/** What was typed, as it was understood. */
export interface TypedLength {
  readonly mm: number
  /** How it was read, in both units: `3/32 in (2.4 mm)`. */
  readonly said: string
}

/**
 * Reads a length and says how it was read. A bare number is in the house's unit, unless it fits the range only in
 * the other one:
 * `2.4` for a rod is millimetres in an inch shop too.
 * @param range what the field may hold, mm, both ends allowed
 * @throws RangeError that says the range in the house's unit
 * @example lengthWithin('2.4', 'in', { lowMm: 1, highMm: 10 }).said // '3/32 in (2.4 mm)'
 */
export function lengthWithin(
  text: string,
  unit: LengthUnit,
  { lowMm, highMm }: { readonly lowMm: number; readonly highMm: number },
): TypedLength {
  const fits = (mm: number) => !under(mm, lowMm) && !over(mm, highMm)
  const first = parseLength(text, unit)
  const second = fits(first) ? first : parseLength(text, unit === 'in' ? 'mm' : 'in')
  const mm = fits(second) ? second : first
  if (!fits(mm)) throw new RangeError(`From ${formatRange(lowMm, highMm, unit)}`)
  return { mm, said: bothUnits(mm) }
}

/**
 * A range of lengths in the house's unit.
 * @example formatRange(25.4, 50.8, 'in') // '1 to 2 in'
 */
export function formatRange(lowMm: number, highMm: number, unit: LengthUnit): string {
  if (unit === 'mm') return `${plainMillimetres(lowMm)} to ${plainMillimetres(highMm)} mm`
  return `${formatFraction(lowMm, 32)} to ${formatFraction(highMm, 32)} in`
}

const plainMillimetres = (mm: number) => String(Math.round(mm * 10) / 10)

/**
 * A length worked out rather than measured, to a thousandth of an inch or a tenth of a millimetre.
 * @example exactLength(4.49, 'in') // '0.177 in'
 */
export function exactLength(mm: number, unit: LengthUnit): string {
  return unit === 'in' ? `${Math.round((mm / MM_PER_INCH) * 1000) / 1000} in` : `${plainMillimetres(mm)} mm`
}

/**
 * A length that is held against a limit, so that none is rounded on to it: a fraction where 64ths say it, else
 * thousandths of an inch; hundredths of a millimetre.
 * @example heldLength(1.190625, 'in') // '3/64 in', and heldLength(0.8, 'in') '0.031 in'
 */
export function heldLength(mm: number, unit: LengthUnit): string {
  if (unit === 'mm') return `${Math.round(mm * 100) / 100} mm`
  const in64 = (mm / MM_PER_INCH) * 64
  return Math.abs(in64 - Math.round(in64)) < 1e-3 ? `${formatFraction(mm, 64)} in` : exactLength(mm, 'in')
}

/**
 * A length in both units, inches to the nearest 1/32.
 * @example bothUnits(2.38) // '3/32 in (2.4 mm)'
 */
export function bothUnits(mm: number): string {
  return `${formatFraction(mm, 32)} in (${plainMillimetres(mm)} mm)`
}
