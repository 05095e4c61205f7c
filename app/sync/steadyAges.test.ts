import { describe, expect, it } from 'vitest'
import { steadyAges } from './steadyAges'

const made = { kind: 'coupon', id: 'a', madeAt: '2026-11-30T18:00:00.000Z' } as const
const MADE_MS = Date.parse(made.madeAt)

describe('how old what waits is', () => {
  it.each([
    ['goes on as it should', 0],
    ['is set back an hour', -3_600_000],
    ['is set forward a day', 86_400_000],
  ])('is what has passed since, where the wall clock %s meanwhile', (_, correction) => {
    let [wall, steady] = [MADE_MS + 40, 900]
    const ageOf = steadyAges(
      () => wall,
      () => steady,
    )
    expect(ageOf(made)).toBe(40)
    wall += 5_000 + correction
    steady += 5_000
    expect(ageOf(made)).toBe(5_040)
  })
  it('counts anew where it was changed, and is never less than nothing', () => {
    const ageOf = steadyAges(
      () => MADE_MS + 2_000,
      () => 0,
    )
    expect(ageOf(made)).toBe(2_000)
    expect(ageOf({ ...made, madeAt: '2026-11-30T18:00:02.000Z' })).toBe(0)
    expect(ageOf({ ...made, id: 'b', madeAt: '2026-11-30T19:00:00.000Z' })).toBe(0)
  })
})
