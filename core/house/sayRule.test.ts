import { describe, expect, it } from 'vitest'
import {
  DEFAULT_HOUSE_RULES,
  quantityUnit,
  rulesCatalogue,
  sayDefault,
  sayRange,
  sayRule,
  writeRule,
  type HouseRules,
} from '.'

const line = (path: string, rules: HouseRules = DEFAULT_HOUSE_RULES) =>
  rulesCatalogue(rules).find(one => one.path === path)!

describe('a line of the rules in words', () => {
  it.each([
    ['overlap', '30 % to 50 %'],
    ['stubMm', '2 in'],
    ['verticalUnderFlatA', '10 A to 15 A'],
    ['beadWidth.high', '2 × core'],
    ['exposureHours', '4 h'],
    ['goodInARow', '3 coupons'],
    ['pushVerticalDegrees', '5 ° to 10 °'],
    ['ways.cooling', 'quench practice plates'],
  ])('%s: %s', (path, said) => expect(sayRule(line(path), DEFAULT_HOUSE_RULES)).toBe(said))

  it('follows the house’s unit', () => {
    const metric = writeRule(DEFAULT_HOUSE_RULES, 'unit', 'mm')
    expect(sayRule(line('stubMm'), metric)).toBe('51 mm')
    expect(sayDefault(line('stubMm'), metric)).toBe('51 mm')
    expect([quantityUnit('length', 'mm'), quantityUnit('share', 'mm')]).toEqual(['mm', '%'])
  })

  it('says its range, or its choices', () => {
    expect(sayRange(line('overlap'), 'in')).toBe('from 10 % to 80 %')
    expect(sayRange(line('ways.stubDays'), 'in')).toBe('yes, for restarts; never')
  })

  it('has no default for the figures of the other school of bead width', () => {
    const wide = writeRule(DEFAULT_HOUSE_RULES, 'beadWidth.by', 'length')
    expect(sayDefault(line('beadWidth.highMm', wide), wide)).toBeNull()
    expect(sayDefault(line('beadWidth.by', wide), wide)).toBe('core diameter')
  })

  it('has words for every line', () => {
    for (const each of rulesCatalogue(DEFAULT_HOUSE_RULES))
      expect(sayRule(each, DEFAULT_HOUSE_RULES)).not.toMatch(/undefined|NaN/)
  })
})
