import { formatLength, round, type LengthUnit } from '../units'
import type { Quantity, RuleLine } from './catalogue'
import { DEFAULT_HOUSE_RULES, type Between, type HouseRules } from './houseRules'
import { ruleAt } from './catalogue'

/** The unit that stands behind a number of the rules. */
export function quantityUnit(quantity: Quantity, unit: LengthUnit): string {
  const units: Readonly<Record<Quantity, string>> = {
    'length': unit,
    'share': '%',
    'percent': '%',
    'degrees': '°',
    'amperes': 'A',
    'hours': 'h',
    'days': 'days',
    'coupons': 'coupons',
    'core diameters': '× core',
    'pixels': 'px',
  }
  return units[quantity]
}

/**
 * A number of the rules as it is said.
 * @example sayQuantity(0.3, 'share', 'in') // '30 %'
 */
export function sayQuantity(value: number, quantity: Quantity, unit: LengthUnit): string {
  if (quantity === 'length') return formatLength(value, unit)
  return `${round(quantity === 'share' ? value * 100 : value, 2)} ${quantityUnit(quantity, unit)}`
}

/** What a line may hold: `from 10 % to 80 %`. Choices name themselves. */
export function sayRange(line: RuleLine, unit: LengthUnit): string {
  if (line.kind === 'choice') return line.choices.map(({ says }) => says).join('; ')
  return `from ${sayQuantity(line.lowest, line.quantity, unit)} to ${sayQuantity(line.highest, line.quantity, unit)}`
}

/**
 * The value of a line in words.
 * @example sayRule(line, rules) // '30 % to 50 %'
 */
export function sayRule(line: RuleLine, rules: HouseRules): string {
  const value = ruleAt(rules, line.path)
  if (line.kind === 'choice') return line.choices.find(({ id }) => id === value)!.says
  if (line.kind === 'number') return sayQuantity(value as number, line.quantity, rules.unit)
  const { low, high } = value as Between
  return `${sayQuantity(low, line.quantity, rules.unit)} to ${sayQuantity(high, line.quantity, rules.unit)}`
}

/**
 * The default of a line, said in the units of a set of rules. A line of the other school of bead width has none:
 * its school is the departure.
 */
export function sayDefault(line: RuleLine, rules: HouseRules): string | null {
  if (ruleAt(DEFAULT_HOUSE_RULES, line.path) === undefined) return null
  return sayRule(line, { ...DEFAULT_HOUSE_RULES, unit: rules.unit })
}
