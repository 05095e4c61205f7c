import type { LengthUnit } from './length'
import { MM_PER_INCH } from './length'

/** Kilograms in a pound, exact by definition (international yard and pound agreement, 1959). */
export const KG_PER_POUND = 0.45359237
/** Grams in an ounce, a sixteenth of a pound. */
export const GRAMS_PER_OUNCE = (1000 * KG_PER_POUND) / 16

/**
 * A travel speed in the house's unit.
 * @param mmPerMin millimetres a minute
 * @example formatSpeed(152.4, 'in') // '6 in/min'
 */
export function formatSpeed(mmPerMin: number, unit: LengthUnit): string {
  return unit === 'in' ? `${round(mmPerMin / MM_PER_INCH, 1)} in/min` : `${round(mmPerMin, 0)} mm/min`
}

/**
 * A weight in the house's unit; what is lighter than a tenth of a pound to four places, so that sums made with it
 * come out.
 * @param kg kilograms
 * @example formatWeight(0.226796185, 'in') // '0.5 lb'
 */
export function formatWeight(kg: number, unit: LengthUnit): string {
  const pounds = kg / KG_PER_POUND
  if (unit === 'in') return `${round(pounds, pounds < 0.1 ? 4 : 2)} lb`
  return kg < 1 ? `${round(kg * 1000, kg < 0.1 ? 1 : 0)} g` : `${round(kg, 2)} kg`
}

/**
 * Heat input in the house's unit: thousands of joules an inch, or kilojoules a millimetre.
 * @param kjPerMm kJ/mm
 * @example formatHeat(1.2303, 'in') // '31.2 kJ/in'
 */
export function formatHeat(kjPerMm: number, unit: LengthUnit): string {
  return unit === 'in' ? `${round(kjPerMm * MM_PER_INCH, 1)} kJ/in` : `${round(kjPerMm, 2)} kJ/mm`
}

/**
 * A time as a stopwatch shows it.
 * @param seconds zero or more
 * @example formatTime(75) // '1 min 15 s'
 */
export function formatTime(seconds: number): string {
  const whole = Math.round(seconds)
  if (seconds < 10) return `${round(seconds, 1)} s`
  if (whole < 60) return `${whole} s`
  const minutes = Math.floor(whole / 60)
  if (minutes >= 60) return `${Math.floor(minutes / 60)} h ${minutes % 60} min`
  return whole % 60 === 0 ? `${minutes} min` : `${minutes} min ${whole % 60} s`
}

/**
 * A number to some places, without trailing noughts.
 * @example round(2.5001, 2) // 2.5
 */
export function round(value: number, places: number): number {
  const scale = 10 ** places
  return Math.round(value * scale) / scale
}
