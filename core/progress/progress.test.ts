import { describe, expect, it } from 'vitest'
import jstat from 'jstat'
import { rateInWords, rateOf } from '.'
import { binomialInterval } from '../statistics'

// Exact intervals by arithmetic, and Newcombe 1998 (Stat. Med. 17:857) for the last three.
it.each([
  [1, 5, 0.005051, 0.716418],
  [3, 5, 0.146633, 0.947255],
  [8, 10, 0.443905, 0.974789],
  [5, 10, 0.187086, 0.812914],
  [15, 20, 0.508954, 0.913429],
  [18, 20, 0.683017, 0.987651],
  [27, 30, 0.734712, 0.978883],
  [45, 50, 0.781865, 0.966725],
  [90, 100, 0.823777, 0.950995],
])('%d of %d lies between %d and %d', (sound, tried, low, high) => {
  const interval = binomialInterval(sound, tried)
  expect(interval.low).toBeCloseTo(low, 6)
  expect(interval.high).toBeCloseTo(high, 6)
})
it.each([
  [81, 263, 0.2527, 0.3676],
  [15, 148, 0.0578, 0.1617],
  [1, 29, 0.0009, 0.1776],
])('%d of %d as Newcombe prints it', (sound, tried, low, high) => {
  const interval = binomialInterval(sound, tried)
  expect(interval.low).toBeCloseTo(low, 4)
  expect(interval.high).toBeCloseTo(high, 4)
})

describe('against other reckonings', () => {
  it('none and all have the closed forms', () => {
    for (const tried of [1, 5, 20, 30]) {
      expect(binomialInterval(0, tried)).toEqual({ low: 0, high: expect.closeTo(1 - 0.025 ** (1 / tried), 9) })
      expect(binomialInterval(tried, tried)).toEqual({ low: expect.closeTo(0.025 ** (1 / tried), 9), high: 1 })
    }
  })
  it('agrees with the beta quantiles of jstat', () => {
    for (const [sound, tried] of [
      [1, 3],
      [7, 11],
      [40, 61],
      [123, 200],
    ] as const) {
      const { low, high } = binomialInterval(sound, tried)
      expect(low).toBeCloseTo(jstat.beta.inv(0.025, sound, tried - sound + 1), 6)
      expect(high).toBeCloseTo(jstat.beta.inv(0.975, sound + 1, tried - sound), 6)
    }
  })
  it('narrows with confidence', () => {
    expect(binomialInterval(7, 10, 0.8).low).toBeGreaterThan(binomialInterval(7, 10, 0.95).low)
  })
})

it.each([
  [3, 2],
  [-1, 4],
  [1.5, 3],
  [0, 0],
])('refuses %d of %d', (sound, tried) => expect(() => binomialInterval(sound, tried)).toThrow(RangeError))

describe('rateOf', () => {
  it('says nothing of what was not tried', () => expect(rateOf('restart', 0, 0)).toBeNull())
  it('is few on three tries, and not on five', () => {
    expect(rateOf('restart', 3, 2)).toMatchObject({ few: true, share: expect.closeTo(2 / 3, 9) })
    expect(rateOf('restart', 5, 4)!.few).toBe(false)
  })
  it('gives lengths no interval: inches of one bead are not separate tries', () =>
    expect(rateOf('run', 900, 850)).toMatchObject({ interval: null, few: false }))
})

it.each([
  [0.3, 'beginning'],
  [0.5, 'coming along'],
  [0.7, 'mostly sound'],
  [0.85, 'reliable'],
  [0.95, 'sound nearly always'],
])('%d in words', (rate, words) => {
  expect(rateInWords(rate, false)).toBe(words)
  expect(rateInWords(rate, true)).toBe('too little to say')
})
