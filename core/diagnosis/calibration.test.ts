import { describe, expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES } from '../house'
import { drawTechnique, weldWith } from '../simulate'
import { seededRandom } from '../statistics'
import { CAUSES, diagnose, posterior, priorsFor, readerScore, signsOf, type CauseId, type ReadCase } from '.'

const rules = DEFAULT_HOUSE_RULES
/** Seeds on which nothing was fitted. */
const SEEDS = [7, 19]
const COUPONS = 900

const drawn = SEEDS.flatMap(seed => {
  const random = seededRandom(seed)
  return Array.from({ length: COUPONS }, () => {
    const technique = drawTechnique(random)
    return { technique, document: weldWith(technique, rules, random), truth: Object.keys(technique) as CauseId[] }
  })
})
const read = (document: (typeof drawn)[number]['document']) => {
  const seen = signsOf(document, rules)
  const markIds = seen.signs.flatMap(sign => sign.markIds)
  return posterior(priorsFor(document, rules, undefined, markIds), seen).odds
}
const score = readerScore(drawn.map(({ document, truth }): ReadCase => ({ odds: read(document), truth })))

/** What the bench prints of causes, held by fixed seeds: a changed figure shows here before it reaches anybody. */
describe('the odds of causes, on coupons whose technique is known', () => {
  it('name a cause that is at work', () => {
    expect(score.topOne).toBeGreaterThan(0.82)
    expect(score.oneOfTwo).toBeGreaterThan(0.89)
  })
  it('come true about as often as they say, and are rather said too low than too high', () => {
    for (const { said, came } of score.tenths.filter(row => row.count >= 60)) {
      expect(came - said).toBeLessThan(0.2)
      expect(said - came).toBeLessThan(0.1)
    }
    expect(score.brier).toBeLessThan(0.6)
  })
  it('are better than the commonest cause, by a long way', () => {
    const plain = readerScore(drawn.map(({ truth }) => ({ odds: CAUSES.map(cause => cause.prior), truth })))
    expect(score.brier).toBeLessThan(0.6 * plain.brier)
  })
})

describe('the change that is advised', () => {
  it('is one that was at work, far oftener than the commonest cause is', () => {
    const advised = drawn.flatMap(({ document, truth }) => {
      const { change, causes } = diagnose(document, rules)
      // What is tried on less than this is said to be a guess.
      return change && causes[0]!.odds >= 0.15
        ? [{ right: truth.includes(change.cause.id), commonest: truth.includes(CAUSES[0]!.id) }]
        : []
    })
    const shareOf = (key: 'right' | 'commonest') => advised.filter(row => row[key]).length / advised.length
    expect(advised.length / drawn.length).toBeGreaterThan(0.85)
    expect(shareOf('right')).toBeGreaterThan(0.84)
    expect(shareOf('commonest')).toBeLessThan(0.3)
  })
})
