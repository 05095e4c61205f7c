import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import jstat from 'jstat'
import {
  betaQuantile,
  betaTail,
  binomialInterval,
  binomialTail,
  chanceAbove,
  logGamma,
  logistic,
  logit,
  mean,
  quantile,
  sampleSd,
} from '.'

/** Probability of at least k successes in n, term by term. */
function summedTail(k: number, n: number, rate: number): number {
  let sum = 0
  for (let i = k; i <= n; i++) {
    let choose = 1
    for (let j = 1; j <= i; j++) choose *= (n - j + 1) / j
    sum += choose * rate ** i * (1 - rate) ** (n - i)
  }
  return sum
}

describe('the beta distribution', () => {
  it.each([
    [1, 0],
    [2, 0],
    [5, Math.log(24)],
    [0.5, Math.log(Math.sqrt(Math.PI))],
    [101, 363.73937555556347],
  ])('ln Γ(%d) is as tabulated', (x, value) => expect(logGamma(x)).toBeCloseTo(value, 10))

  it('agrees with jstat at every place', () => {
    const shape = fc.double({ min: 0.2, max: 80, noNaN: true })
    fc.assert(
      fc.property(shape, shape, fc.double({ min: 0.001, max: 0.999, noNaN: true }), (a, b, x) => {
        expect(betaTail(x, a, b)).toBeCloseTo(1 - jstat.beta.cdf(x, a, b), 6)
      }),
      { numRuns: 300 },
    )
  })
  it('has the closed forms of one parameter', () => {
    for (const x of [0.1, 0.5, 0.93]) {
      expect(betaTail(x, 1, 7)).toBeCloseTo((1 - x) ** 7, 12)
      expect(betaTail(x, 7, 1)).toBeCloseTo(1 - x ** 7, 12)
    }
  })
  it('is everything over nought and nothing over one', () => {
    expect(betaTail(0, 3, 4)).toBe(1)
    expect(betaTail(1, 3, 4)).toBe(0)
  })
  it('gives back what its quantile was asked for', () => {
    for (const share of [0.025, 0.5, 0.975]) expect(1 - betaTail(betaQuantile(share, 9, 3), 9, 3)).toBeCloseTo(share, 9)
  })
  it('refuses what is no distribution', () => expect(() => betaTail(0.5, 0, 1)).toThrow(RangeError))
})

describe('binomial sums', () => {
  it('agree with adding up the terms', () => {
    for (const [k, n, rate] of [
      [8, 10, 0.5],
      [1, 30, 0.02],
      [29, 30, 0.9],
      [12, 24, 0.44],
    ] as const)
      expect(binomialTail(k, n, rate)).toBeCloseTo(summedTail(k, n, rate), 12)
  })
  it('are certain of none or more, and of no more than all', () => {
    expect(binomialTail(0, 5, 0.3)).toBe(1)
    expect(binomialTail(6, 5, 0.3)).toBe(0)
  })
  it('are sure of any rate over nought, and unsure of one over one', () => {
    expect(chanceAbove(0, 0, 0)).toBe(1)
    expect(chanceAbove(1, 5, 5)).toBe(0)
    expect(chanceAbove(0.8, 8, 10)).toBeCloseTo(0.382598, 6)
  })
  it('an interval of a hundred thousand tries has the normal width', () => {
    const { low, high } = binomialInterval(50_000, 100_000)
    expect(high - low).toBeCloseTo((2 * 1.959964 * 0.5) / Math.sqrt(100_000), 4)
    expect((low + high) / 2).toBeCloseTo(0.5, 6)
  })
})

describe('plain figures', () => {
  it('a quantile is linear between its neighbours, as R and spreadsheets take it', () => {
    expect(quantile([4, 1, 3, 2], 0.5)).toBe(2.5)
    expect(quantile([1, 2, 3, 4, 5], 0.9)).toBeCloseTo(4.6, 12)
    expect(quantile([7], 0.3)).toBe(7)
    expect(() => quantile([], 0.5)).toThrow(RangeError)
  })
  it('a logit is turned back', () => expect(logistic(logit(0.83))).toBeCloseTo(0.83, 12))
  it('a mean of none is not a number', () => {
    expect(mean([1, 2, 6])).toBe(3)
    expect(mean([])).toBeNaN()
  })
})

it('the spread of a sample about its mean: 2, 4, 4, 4, 5, 5, 7, 9 have 2.138', () => {
  // Worked example of most textbooks: variance 32 / 7.
  expect(sampleSd([2, 4, 4, 4, 5, 5, 7, 9])).toBeCloseTo(Math.sqrt(32 / 7), 12)
  expect(sampleSd([3])).toBeNaN()
})
