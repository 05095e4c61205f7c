import { describe, expect, it } from 'vitest'
import { seededRandom } from '../statistics'
import { CAUSES, helpedCauses, schoolPriors, withHelped, type CauseId, type MadeChange, type SignId } from '.'

/** A change with so many signs gone, and so many that stayed. */
const change = (gone = 1, stayed = 0, odds = 0.5): MadeChange => ({
  cause: 'arc long',
  odds,
  signs: Array.from({ length: gone + stayed }, (_, n) => ({ sign: 'spatter', gone: n < gone })),
})
const UNKNOWN = new Map<SignId, number>()
/** How much more is thought of the cause, once it is known what came of the changes. */
const surprise = (changes: readonly MadeChange[], alone: ReadonlyMap<SignId, number> = UNKNOWN) => {
  const { said, expected } = helpedCauses(changes, alone)['arc long']!
  return said - expected
}

describe('a change that was made', () => {
  // Bayes by hand. By itself a sign goes every other time, put right nine times of ten: 0.9 to 0.5, and 0.1 to 0.5.
  it.each([
    ['one sign gone', change(), 9 / 14 - 0.5],
    ['two gone', change(2), 81 / 106 - 0.5],
    ['one that stayed', change(0, 1), 1 / 6 - 0.5],
    ['one gone, one stayed', change(1, 1), 9 / 34 - 0.5],
    ['one gone, of a cause thought sure', change(1, 0, 0.99), 0.891 / 0.896 - 0.99],
    ['one gone, of a cause hardly thought of', change(1, 0, 0.1), 0.09 / 0.54 - 0.1],
  ] as const)('%s', (_, one, moves) => expect(surprise([one])).toBeCloseTo(moves, 12))
  it('says little where the school has seen such signs go by themselves', () => {
    // Three of four go by themselves, put right 19 of 20; hardly any stays for good.
    expect(surprise([change()], new Map([['spatter', 0.75]]))).toBeCloseTo(0.95 / 1.7 - 0.5, 12)
    expect(surprise([change(0, 1)], new Map([['spatter', 0.75]]))).toBeCloseTo(1 / 6 - 0.5, 12)
    expect(surprise([change()], new Map([['spatter', 1]]))).toBeCloseTo(0, 12)
    expect(surprise([change()], new Map([['spatter', 0]]))).toBe(surprise([change()], new Map([['spatter', 0.2]])))
  })
  it('has helped where most of it went', () => {
    const found = helpedCauses([change(3, 1), change(2, 2), change(0, 1)], UNKNOWN)
    expect(found).toEqual({
      'arc long': { made: 3, helped: 1, said: expect.any(Number) as unknown, expected: 1.5 },
    })
  })
  it('raises its cause for the school on top of what was said, and touches no other', () => {
    const changes = Array.from({ length: 70 }, () => change())
    const counted = { 'arc long': { said: 6, expected: 4 }, 'strike': { said: 3, expected: 3 } }
    const together = withHelped(counted, helpedCauses(changes, UNKNOWN))
    // Seventy that were thought of as one in two, and are now as nine in fourteen.
    expect(together['arc long']!.said).toBeCloseTo(6 + 45, 9)
    expect(together['arc long']!.expected).toBeCloseTo(4 + 35, 9)
    expect(together.strike).toEqual({ said: 3, expected: 3 })
    const prior = (of: readonly number[], id: CauseId) => of[CAUSES.findIndex(cause => cause.id === id)]!
    const [before, after] = [schoolPriors(counted), schoolPriors(together)]
    // Odds 0.13 to 0.87, times what was said to what was expected, each held by eight.
    const odds = (0.13 / 0.87) * (59 / 47)
    expect(prior(after, 'arc long')).toBeCloseTo(odds / (1 + odds), 9)
    for (const { id } of CAUSES.filter(cause => cause.id !== 'arc long'))
      expect(prior(after, id)).toBe(prior(before, id))
  })
  it('that did not help speaks against its cause', () => {
    const many = helpedCauses(
      Array.from({ length: 50 }, () => change(0, 1)),
      UNKNOWN,
    )
    expect(schoolPriors(withHelped({}, many))[0]).toBeLessThan(0.6 * schoolPriors({})[0]!)
    expect(schoolPriors(withHelped({}, many))[0]).toBeGreaterThan(0)
  })
  it('moves nothing in the long run where the model was right of how often it helps', () => {
    const random = seededRandom(5)
    const changes = Array.from({ length: 20_000 }, () => {
      const odds = 0.2 + 0.7 * random.uniform()
      const right = random.chance(odds)
      const gone = random.chance(right ? 0.9 : 0.5)
      return change(gone ? 1 : 0, gone ? 0 : 1, odds)
    })
    expect(Math.abs(surprise(changes)) / changes.length).toBeLessThan(0.005)
  })
})
