import { beforeAll, describe, expect, it } from 'vitest'
import { mean, seededRandom } from '../core/statistics'
import { scoreOf, tryReadiness, type ReadinessPair, type ReadinessScore } from './readinessTrial'
import { WORLDS } from './worlds'

/**
 * Odds put to the proof: two classes of the made-up school and one of a world that shares nothing with the model, each
 * student at each piece within reach, a hundred tests taken and bent: of fewer, the share that passes strays more than
 * the interval that is to hold it. The bench does the same with whole schools.
 */
const TESTS = 100
const STUDENTS = 12
const trial = (world: number, seed: number, times = 3) =>
  tryReadiness({ world: WORLDS[world]!, seed, students: STUDENTS, tests: TESTS, attempts: 1000, recorded: 40, times })

describe('what is said of tests comes true', () => {
  let pairs: ReadinessPair[]
  let score: ReadinessScore
  beforeAll(() => {
    pairs = [...trial(0, 11), ...trial(0, 12)]
    score = scoreOf(pairs, 'before', TESTS)
  })
  it('before the school has a test: better than always saying what really passed on average', () => {
    expect(score.pairs).toBeGreaterThan(110)
    expect(score.brier).toBeLessThan(score.brierOfAverage - 0.008)
    expect(score.way).toBeGreaterThan(0.6)
  })
  it('on average, and within each piece', () => {
    expect(Math.abs(score.said - score.truth)).toBeLessThan(0.04)
    expect(score.worstPiece).toBeLessThan(0.1)
  })
  it('and better still, or no worse, once it has forty: face, root and bends each move by themselves', () => {
    const after = scoreOf(pairs, 'after', TESTS)
    expect(after.way).toBeGreaterThan(0.67)
    expect(Math.abs(after.said - after.truth)).toBeLessThan(0.03)
    expect(after.worstPiece).toBeLessThan(0.08)
  })
  it('neither bolder nor more timid than it may be', () => {
    expect(score.slope).toBeGreaterThan(0.85)
    expect(score.slope).toBeLessThan(1.25)
  })
  it('and lies in its interval about nine times of ten', () => {
    expect(score.held).toBeGreaterThan(0.92)
    expect(scoreOf(pairs, 'after', TESTS).held).toBeGreaterThan(0.9)
  })
  it('the same seed gives the same answer', () => {
    expect(trial(0, 11).slice(0, 2)).toEqual(pairs.slice(0, 2))
  })
})

it('what knowing the true chance would score is the same by few tests as by many', () => {
  const random = seededRandom(5)
  const stages = { face: 1, root: 1, visual: 1, bends: 1 }
  const outlook = { attempts: 1, odds: 0.6, visual: 1, bends: 1, byCoupons: stages, low: 0, high: 1 }
  const brierBy = (tests: number) => {
    const truth = () => mean(Array.from({ length: tests }, () => (random.chance(0.6) ? 1 : 0)))
    const pairs = Array.from({ length: 4000 }, () => ({
      piece: 'one',
      before: { ...outlook, failures: [], spread: [] },
      after: [],
      truth: truth(),
    }))
    return scoreOf(pairs, 'before', tests).brierOfTruth
  }
  for (const tests of [4, 24, 200]) expect(brierBy(tests)).toBeCloseTo(0.24, 2)
})

describe('a school whose tests go better than its coupons say', () => {
  it('is forecast better than by its average before it has a test, and better still with forty of them', () => {
    // Which forty tests they were is luck: several times over.
    const pairs = trial(1, 11, 10)
    const [before, after] = [scoreOf(pairs, 'before', TESTS), scoreOf(pairs, 'after', TESTS)]
    expect(before.truth - before.said).toBeGreaterThan(0.06)
    expect(before.brier).toBeLessThan(before.brierOfAverage - 0.008)
    expect(Math.min(before.held, after.held)).toBeGreaterThan(0.85)
    expect(after.brier).toBeLessThan(before.brier)
    expect(Math.abs(after.said - after.truth)).toBeLessThan(Math.abs(before.said - before.truth) - 0.02)
  })
})
