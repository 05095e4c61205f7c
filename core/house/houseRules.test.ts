import { describe, expect, it } from 'vitest'
import { inches } from '../units'
import { DEFAULT_HOUSE_RULES, wantedWidth } from '.'

// Common practice: the two schools of bead width, and the practice limits.
describe('house rules', () => {
  it('by default want a stringer of 1.5 to 2 core diameters', () => {
    expect(wantedWidth(DEFAULT_HOUSE_RULES, inches(1 / 8))).toEqual({ lowMm: inches(3 / 16), highMm: inches(1 / 4) })
  })

  it('may want a width whatever the rod', () => {
    const rules = { ...DEFAULT_HOUSE_RULES, beadWidth: { by: 'length', lowMm: inches(1 / 4), highMm: inches(3 / 8) } } as const
    expect(wantedWidth(rules, inches(3 / 32))).toEqual(wantedWidth(rules, inches(5 / 32)))
  })

  it('hold the practice limits', () => {
    expect(DEFAULT_HOUSE_RULES).toMatchObject({
      overlap: { low: 0.3, high: 0.5 }, heightMm: { low: inches(1 / 16), high: inches(1 / 8) }, widthEvenMm: inches(1 / 16),
      undercutDepthMm: inches(1 / 32), endWithinMm: inches(1 / 8), stubMm: inches(2), goodInARow: 3, straight: { offMm: inches(1 / 16), perMm: inches(6) },
    })
  })

  it('have bounds the right way round and shares between 0 and 1', () => {
    const { overlap, heightMm, pass } = DEFAULT_HOUSE_RULES
    expect(overlap.low).toBeLessThan(overlap.high)
    expect(heightMm.low).toBeLessThan(heightMm.high)
    for (const share of Object.values(pass)) expect(share > 0 && share <= 1).toBe(true)
  })
})
