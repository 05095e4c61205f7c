import {
  formatFraction,
  formatRange,
  formatSpeed,
  inches,
  lengthWithin,
  round,
  type LengthUnit,
  over,
  under,
  SAME_SHARE,
} from '../units'
import type { NumberKind, SheetInput } from './sheet'

/** What was typed into a field, understood. */
export interface ParsedInput {
  readonly value: number | string
  /** How it was read, where that is not plain. */
  readonly said: string
}

const SUFFIXES: Readonly<
  Record<Exclude<NumberKind, 'length' | 'speed'>, { readonly shown: string; readonly taken: RegExp }>
> = {
  'amperes': { shown: 'A', taken: /(a|amps?|amperes?)$/i },
  'volts': { shown: 'V', taken: /(v|volts?)$/i },
  'percent': { shown: '%', taken: /%$/ },
  'degrees': { shown: '°', taken: /(°|deg|degrees)$/i },
  'celsius': { shown: '°C', taken: /°? ?c$/i },
  'mass percent': { shown: '%', taken: /%$/ },
  'hours': { shown: 'h', taken: /(h|hours?)$/i },
  'days': { shown: 'days', taken: /days?$/i },
  'coupons': { shown: 'coupons', taken: /coupons?$/i },
  'core diameters': { shown: '× core', taken: /[×x] ?(core)?$/i },
  'pixels': { shown: 'px', taken: /(px|pixels?)$/i },
}

/** The unit that stands behind a field. */
export function unitOf(quantity: NumberKind, unit: LengthUnit): string {
  if (quantity === 'length') return unit
  if (quantity === 'speed') return unit === 'in' ? 'in/min' : 'mm/min'
  return SUFFIXES[quantity].shown
}

/**
 * Reads a field of a sheet. Lengths and speeds take either unit, temperatures also °F.
 * @throws RangeError that says the range in the house's unit
 * @example parseInput(current, '125 A', 'in').value // 125
 */
export function parseInput(input: SheetInput, text: string, unit: LengthUnit): ParsedInput {
  if (input.kind === 'choice') {
    if (!input.choices.includes(text)) throw new RangeError(`Choose from ${input.choices.join(', ')}`)
    return { value: text, said: '' }
  }
  const { quantity, lowest, highest } = input
  if (quantity === 'length') {
    const { mm, said } = lengthWithin(text, unit, { lowMm: lowest, highMm: highest })
    return { value: mm, said }
  }
  const value =
    quantity === 'speed'
      ? readSpeed(text, unit)
      : quantity === 'celsius'
        ? readCelsius(text)
        : readPlain(text, SUFFIXES[quantity].taken)
  if (Number.isNaN(value)) throw new RangeError(`“${text.trim()}” is not a number: from ${rangeOf(input, unit)}`)
  if (under(value, lowest, SAME_SHARE) || over(value, highest, SAME_SHARE))
    throw new RangeError(`From ${rangeOf(input, unit)}`)
  if (quantity === 'speed') return { value, said: `${formatSpeed(value, 'in')} (${formatSpeed(value, 'mm')})` }
  return { value, said: quantity === 'celsius' ? `${round(value, 0)} °C (${round(value * 1.8 + 32, 0)} °F)` : '' }
}

function rangeOf({ quantity, lowest, highest }: Extract<SheetInput, { kind: 'number' }>, unit: LengthUnit): string {
  if (quantity === 'length') return formatRange(lowest, highest, unit)
  if (quantity === 'speed') return `${formatSpeed(lowest, unit)} to ${formatSpeed(highest, unit)}`
  return `${lowest} to ${highest} ${SUFFIXES[quantity].shown}`
}

/** The number in a text; NaN when there is none. */
function readPlain(text: string, suffix: RegExp): number {
  const body = text.trim().replace(suffix, '').trim()
  return /^-?(\d+(\.\d+)?|\.\d+)$/.test(body) ? Number(body) : Number.NaN
}

function readSpeed(text: string, unit: LengthUnit): number {
  const said = /(mm|in) ?\/ ?min$/i.exec(text.trim())
  const scale = (said?.[1]?.toLowerCase() ?? unit) === 'in' ? inches(1) : 1
  return readPlain(said ? text.trim().slice(0, said.index) : text, /$^/) * scale
}

function readCelsius(text: string): number {
  const fahrenheit = /°? ?f$/i.exec(text.trim())
  return fahrenheit
    ? (readPlain(text.trim().slice(0, fahrenheit.index), /$^/) - 32) / 1.8
    : readPlain(text, SUFFIXES.celsius.taken)
}

/**
 * A value as it stands in its field.
 * @example writeInput(thickness, 9.525, 'in') // '3/8'
 */
export function writeInput(input: SheetInput, value: number | string, unit: LengthUnit): string {
  if (input.kind === 'choice' || typeof value === 'string') return String(value)
  if (input.quantity === 'length') return unit === 'in' ? formatFraction(value, 64) : String(round(value, 2))
  if (input.quantity === 'speed') return String(round(unit === 'in' ? value / inches(1) : value, 2))
  return String(round(value, 3))
}
