import { describe, expect, it } from 'vitest'
import type { ValidationError } from 'yup'
import { DEFAULT_HOUSE_RULES, writeRule, type HouseRules } from '../core/house'
import { inches } from '../core/units'
import { houseRulesSchema, parseRulesFile, rulesSaveSchema, writeRulesFile } from './houseRules'

async function faults(rules: unknown): Promise<Record<string, string>> {
  try {
    await houseRulesSchema.validate(rules, { abortEarly: false })
    return {}
  } catch (error) {
    const { inner, path, message } = error as ValidationError
    return Object.fromEntries(
      (inner.length > 0 ? inner : [{ path, message }]).map(one => [one.path ?? '', one.message]),
    )
  }
}
const changed = (path: string, value: unknown) => writeRule(DEFAULT_HOUSE_RULES, path, value)
const WINDOW = { classification: 'E7018', diameterMm: inches(1 / 8), position: '3G', lowA: 95, highA: 120 } as const

describe('house rules on the wire', () => {
  it('takes the defaults, the other school of bead width, and a school’s own windows', async () => {
    expect(await faults(DEFAULT_HOUSE_RULES)).toEqual({})
    expect(await faults(changed('beadWidth.by', 'length'))).toEqual({})
    expect(await faults(changed('windows', [WINDOW]))).toEqual({})
    expect(await faults(changed('windows', [WINDOW, { ...WINDOW, make: 'Skerry' }]))).toEqual({})
  })

  it.each([
    ['overlap', { low: 0.3, high: 2 }, 'overlap.high', 'from 10 % to 80 %'],
    ['overlap', { low: 0.6, high: 0.4 }, 'overlap', 'low end'],
    ['pass.starts', -1, 'pass.starts', 'from 0 % to 100 %'],
    ['stubMm', 0, 'stubMm', 'from 1/2 in to 8 in'],
    ['ways.cooling', 'in the sea', 'ways.cooling', 'choose from quench practice plates'],
    ['goodInARow', 2.5, 'goodInARow', 'whole number'],
    ['unit', 'furlong', 'unit', 'choose from in; mm'],
    ['exposureHours', 'long', 'exposureHours', 'from 0.5 h to 12 h'],
    ['beadWidth', { by: 'core diameter', low: 3, high: 2 }, 'beadWidth.high', 'not under the narrowest, 3 × core'],
    ['windows', [{ ...WINDOW, highA: 90 }], 'windows[0].highA', 'ends over where it begins'],
    ['windows', [WINDOW, WINDOW], 'windows', 'same rod'],
    [
      'windows',
      [
        { ...WINDOW, make: 'Skerry' },
        { ...WINDOW, make: 'skerry' },
      ],
      'windows',
      'same rod',
    ],
    ['windows', [{ ...WINDOW, diameterMm: 1.6 }], 'windows[0].diameterMm', 'is not made in 1.6 mm'],
    ['windows', [{ ...WINDOW, classification: 'E1' }], 'windows[0].classification', 'a rod that is kept'],
  ])('%s of %j is refused at its field, with what would be right', async (path, value, at, words) => {
    expect((await faults(changed(path, value)))[at]).toContain(words)
  })

  it('says a range in the rules’ own unit', async () => {
    expect((await faults({ ...changed('stubMm', 1), unit: 'mm' })).stubMm).toContain('from 13 mm to 203 mm')
  })

  it('refuses a line that is missing, and one that does not belong', async () => {
    const { ways, ...without } = DEFAULT_HOUSE_RULES
    expect(Object.keys(await faults(without))).not.toEqual([])
    expect(Object.values(await faults({ ...without, ways, weather: 'fair' })).join()).toContain('weather')
  })

  it('asks why a version is saved', async () => {
    await expect(rulesSaveSchema.validate({ baseVersion: 1, why: ' ', rules: DEFAULT_HOUSE_RULES })).rejects.toThrow(
      /why is missing/,
    )
  })
})

describe('a file of house rules', () => {
  it('is read back as it was written', async () => {
    const rules = changed('windows', [WINDOW])
    expect(await parseRulesFile(writeRulesFile(rules))).toEqual({ rules })
  })
  it('gets the default for a line it was written before', async () => {
    const { arcCores, ...older } = DEFAULT_HOUSE_RULES
    const read = await parseRulesFile(JSON.stringify({ format: 'fusilis-house-rules', rules: older }))
    expect((read as { rules: HouseRules }).rules.arcCores).toBe(arcCores)
  })
  it.each([
    ['not json', /not JSON/],
    ['{"format":"other"}', /does not hold/],
    ['null', /does not hold/],
    [writeRulesFile(changed('overlap', { low: 0.3, high: 9 })), /from 10 % to 80 %/],
    [writeRulesFile(changed('pass', null)), /./],
  ])('says what is wrong with %.30s', async (text, words) => {
    const read = await parseRulesFile(text)
    expect('faults' in read && read.faults.map(fault => fault.message).join()).toMatch(words)
  })
})
