import { describe, expect, it } from 'vitest'
import { seededRandom } from '../statistics'
import { CAUSES, helpedCauses, schoolPriors, withHelped, type CauseId, type MadeChange } from '.'

const change = (more: Partial<MadeChange> = {}): MadeChange => ({
  cause: 'arc long',
  odds: 0.5,
  seen: 1,
  gone: 1,
  ...more,
})
const surprise = (...changes: MadeChange[]) => helpedCauses(changes)['arc long']?.surprise ?? 0

describe('a change that was made', () => {
  // Bayes by hand: 0.9 to 0.5 for a sign that went, 0.1 to 0.5 for one that stayed.
  it.each([
    ['one sign gone', {}, 9 / 14 - 0.5],
    ['two gone', { seen: 2, gone: 2 }, 81 / 106 - 0.5],
    ['one that stayed', { gone: 0 }, 1 / 6 - 0.5],
    ['one gone, one stayed', { seen: 2, gone: 1 }, 9 / 34 - 0.5],
    ['one gone, of a cause thought sure', { odds: 0.99 }, 0.891 / 0.896 - 0.99],
    ['one gone, of a cause hardly thought of', { odds: 0.1 }, 0.09 / 0.54 - 0.1],
  ] as const)('%s', (_, more, moves) => expect(surprise(change(more))).toBeCloseTo(moves, 12))
  it('has helped where most of it went', () => {
    const changes = [change({ seen: 4, gone: 3 }), change({ seen: 4, gone: 2 }), change({ seen: 1, gone: 0 })]
    expect(helpedCauses(changes)['arc long']).toMatchObject({ made: 3, helped: 1 })
    expect(helpedCauses(changes)).toEqual({ 'arc long': expect.anything() as unknown })
  })
  it('raises its cause for the school on top of what was said, and touches no other', () => {
    const changes = Array.from({ length: 70 }, () => change())
    const together = withHelped({ 'arc long': 2, 'strike': 3 }, helpedCauses(changes))
    expect(together).toEqual({ 'arc long': expect.closeTo(12, 9) as unknown, 'strike': 3 })
    const prior = (of: readonly number[], id: CauseId) => of[CAUSES.findIndex(cause => cause.id === id)]!
    const [before, after] = [schoolPriors({ strike: 3 }), schoolPriors(together)]
    // Twelve of surprise: odds 0.13 to 0.87, times 1 + 3 × 12 / 32.
    const odds = (0.13 / 0.87) * (1 + (3 * 12) / 32)
    expect(prior(after, 'arc long')).toBeCloseTo(odds / (1 + odds), 9)
    for (const { id } of CAUSES.filter(cause => cause.id !== 'arc long'))
      expect(prior(after, id)).toBe(prior(before, id))
  })
  it('that did not help takes back what was said of its cause, and never more', () => {
    expect(withHelped({ 'arc long': 1 }, helpedCauses([change({ gone: 0 })]))['arc long']).toBeCloseTo(2 / 3, 12)
    const many = helpedCauses(Array.from({ length: 50 }, () => change({ gone: 0 })))
    expect(withHelped({ 'arc long': 1 }, many)['arc long']).toBe(0)
    expect(withHelped({}, many)['arc long']).toBe(0)
  })
  it('moves nothing in the long run where the model was right of how often it helps', () => {
    const random = seededRandom(5)
    const changes = Array.from({ length: 20_000 }, () => {
      const odds = 0.2 + 0.7 * random.uniform()
      const right = random.chance(odds)
      return change({ odds, gone: random.chance(right ? 0.9 : 0.5) ? 1 : 0 })
    })
    expect(Math.abs(surprise(...changes)) / changes.length).toBeLessThan(0.005)
  })
})
