import { describe, expect, it } from 'vitest'
import { inches } from '../units'
import { STUB_CLASSES, stubGrams, stubsWeighed } from '.'

const EIGHTH = inches(1 / 8)

describe('stubs that are weighed', () => {
  // By hand: 7.85e-3 g/mm³ × π/4 × 3.175² = 0.06215 g/mm of core; 1 in bare, the rest × 1.38.
  it.each([
    ['to 2', 3.213],
    ['2 to 4', 5.936],
    ['4 to 6', 10.293],
    ['over 6', 16.829],
  ] as const)('of %s in weigh %f g each', (stubClass, grams) =>
    expect(stubGrams(stubClass, EIGHTH)).toBeCloseTo(grams, 2),
  )

  it('are as many as their weight says, and none of them is none', () => {
    for (const { id } of STUB_CLASSES)
      for (const count of [0, 1, 7, 140]) expect(stubsWeighed(id, EIGHTH, count * stubGrams(id, EIGHTH))).toBe(count)
    expect(stubsWeighed('to 2', EIGHTH, 320)).toBe(100)
    expect(() => stubsWeighed('to 2', EIGHTH, -1)).toThrow('Stubs weigh nothing or more')
    expect(() => stubsWeighed('to 2', EIGHTH, Number.NaN)).toThrow('Stubs weigh nothing or more')
  })

  it('of a thicker rod are heavier as its core is, and a size in millimetres is as good', () => {
    expect(stubGrams('to 2', inches(3 / 16)) / stubGrams('to 2', inches(3 / 32))).toBeCloseTo(4, 9)
    expect(stubGrams('to 2', 3.2) / stubGrams('to 2', EIGHTH)).toBeCloseTo((3.2 / EIGHTH) ** 2, 9)
  })
})
