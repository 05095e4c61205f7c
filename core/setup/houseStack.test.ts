import { describe, expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES } from '../house'
import { planStack } from '../deposit'
import { inches } from '../units'
import { housePlanner, houseStack, type StackWanted } from './houseStack'

const wanted = (thicknessMm: number): StackWanted => ({
  shape: { kind: 'V', groove: { gapMm: 3.2, landMm: 1.6, includedDegrees: 60, thicknessMm }, backing: false },
  position: '1G',
  coreMm: inches(1 / 8),
  rootCoreMm: inches(1 / 8),
})

describe('the stack of a house', () => {
  it('is planned once for the same joint and rules, and is what the planner says', () => {
    const first = houseStack(wanted(12), DEFAULT_HOUSE_RULES)
    expect(houseStack(wanted(12), { ...DEFAULT_HOUSE_RULES })).toBe(first)
    expect(first).toEqual(planStack(housePlanner(wanted(12), DEFAULT_HOUSE_RULES)))
  })

  it('is another for another house, position, rod or pipe', () => {
    const first = houseStack(wanted(12), DEFAULT_HOUSE_RULES)
    const others = [
      houseStack(wanted(12), { ...DEFAULT_HOUSE_RULES, capBeyondMm: DEFAULT_HOUSE_RULES.capBeyondMm + 1 }),
      houseStack({ ...wanted(12), position: '4G' }, DEFAULT_HOUSE_RULES),
      houseStack({ ...wanted(12), coreMm: inches(3 / 32) }, DEFAULT_HOUSE_RULES),
      houseStack({ ...wanted(12), fixedPipe: true }, DEFAULT_HOUSE_RULES),
    ]
    for (const other of others) expect(other).not.toBe(first)
  })

  it('is planned anew once many others were asked for since', () => {
    const first = houseStack(wanted(9), DEFAULT_HOUSE_RULES)
    for (let n = 0; n < 64; n++) houseStack(wanted(6 + n / 1000), DEFAULT_HOUSE_RULES)
    const again = houseStack(wanted(9), DEFAULT_HOUSE_RULES)
    expect(again).not.toBe(first)
    expect(again).toEqual(first)
  })
})
