import { describe, expect, it } from 'vitest'
import { inches } from '../units'
import { completeRules, DEFAULT_HOUSE_RULES, departures, ruleAt, rulesCatalogue, wantedWidth, writeRule } from '.'

// Common practice: the two schools of bead width, and the practice limits.
describe('house rules', () => {
  it('by default want a stringer of 1.5 to 2 core diameters', () => {
    expect(wantedWidth(DEFAULT_HOUSE_RULES, inches(1 / 8))).toEqual({ lowMm: inches(3 / 16), highMm: inches(1 / 4) })
  })

  it('may want a width whatever the rod', () => {
    const rules = {
      ...DEFAULT_HOUSE_RULES,
      beadWidth: { by: 'length', lowMm: inches(1 / 4), highMm: inches(3 / 8) },
    } as const
    expect(wantedWidth(rules, inches(3 / 32))).toEqual(wantedWidth(rules, inches(5 / 32)))
  })

  it('hold the practice limits', () => {
    expect(DEFAULT_HOUSE_RULES).toMatchObject({
      overlap: { low: 0.3, high: 0.5 },
      heightMm: { low: inches(1 / 16), high: inches(1 / 8) },
      widthEvenMm: inches(1 / 16),
      undercutDepthMm: inches(1 / 32),
      endWithinMm: inches(1 / 8),
      stubMm: inches(2),
      goodInARow: 3,
      straight: { offMm: inches(1 / 16), perMm: inches(6) },
    })
  })

  it('have bounds the right way round and shares between 0 and 1', () => {
    const { overlap, heightMm, pass } = DEFAULT_HOUSE_RULES
    expect(overlap.low).toBeLessThan(overlap.high)
    expect(heightMm.low).toBeLessThan(heightMm.high)
    for (const share of Object.values(pass)) expect(share > 0 && share <= 1).toBe(true)
  })
})

describe('the catalogue', () => {
  const leaves = (value: unknown, path = ''): string[] =>
    typeof value === 'object' && value !== null && !Array.isArray(value) && !('low' in value && path !== 'beadWidth')
      ? Object.entries(value).flatMap(([key, inner]) => leaves(inner, path ? `${path}.${key}` : key))
      : [path]

  it('has a line for every value of the rules but the school’s own windows', () => {
    const paths = rulesCatalogue(DEFAULT_HOUSE_RULES).map(line => line.path)
    expect([...paths].sort()).toEqual(
      leaves(DEFAULT_HOUSE_RULES)
        .filter(path => path !== 'windows')
        .sort(),
    )
    expect(new Set(paths).size).toBe(paths.length)
  })

  it('keeps every default inside its line’s range', () => {
    for (const line of rulesCatalogue(DEFAULT_HOUSE_RULES)) {
      const value = ruleAt(DEFAULT_HOUSE_RULES, line.path)
      if (line.kind === 'choice') expect(line.choices.map(({ id }) => id)).toContain(value)
      const ends =
        line.kind === 'between'
          ? (Object.values(value as object) as number[])
          : line.kind === 'number'
            ? [value as number]
            : []
      for (const end of ends)
        expect(
          end >= (line as { lowest: number }).lowest && end <= (line as { highest: number }).highest,
          line.path,
        ).toBe(true)
    }
  })

  it('writes a value where it reads it, and leaves the rest', () => {
    const changed = writeRule(DEFAULT_HOUSE_RULES, 'pass.restarts', 0.6)
    expect(ruleAt(changed, 'pass.restarts')).toBe(0.6)
    expect(changed.pass.starts).toBe(DEFAULT_HOUSE_RULES.pass.starts)
    expect(departures(changed).map(line => line.path)).toEqual(['pass.restarts'])
    expect(departures(DEFAULT_HOUSE_RULES)).toEqual([])
  })

  it('brings the other school’s figures with a change of school, and shows its lines', () => {
    const wide = writeRule(DEFAULT_HOUSE_RULES, 'beadWidth.by', 'length')
    expect(wantedWidth(wide, inches(1 / 8))).toEqual({ lowMm: inches(1 / 4), highMm: inches(3 / 8) })
    expect(rulesCatalogue(wide).map(line => line.path)).toContain('beadWidth.highMm')
    expect(writeRule(wide, 'beadWidth.by', 'core diameter')).toEqual(DEFAULT_HOUSE_RULES)
  })

  it('completes rules that were saved before a line existed', () => {
    const { ways, arcCores, ...old } = DEFAULT_HOUSE_RULES
    expect(completeRules({ ...old, goodInARow: 5 })).toEqual({ ...old, ways, arcCores, goodInARow: 5 })
    expect(completeRules({ ways: { cooling: 'air' } as never }).ways).toEqual({ ...ways, cooling: 'air' })
  })

  it('gives ways that were kept by their words the ids they have now', () => {
    const old = { cooling: 'air cool always', endOfRun: 'stop an inch short and weld in from the end' }
    expect(completeRules({ ways: { ...old, order: '1, 2, 4, 3', lighting: 'tap' } as never }).ways).toEqual({
      ...DEFAULT_HOUSE_RULES.ways,
      cooling: 'air',
      endOfRun: 'weld in',
      order: 'overhead first',
      lighting: 'tap',
    })
  })

  it('knows each choice by an id of at most three words', () => {
    const ids = rulesCatalogue(DEFAULT_HOUSE_RULES).flatMap(line => (line.kind === 'choice' ? line.choices : []))
    for (const { id } of ids) expect(id.split(' ').length, id).toBeLessThanOrEqual(3)
  })
})
