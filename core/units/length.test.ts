import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import {
  bothUnits,
  exactLength,
  heldLength,
  formatFraction,
  formatLength,
  formatRange,
  inches,
  lengthWithin,
  parseLength,
} from './length'

describe('parseLength', () => {
  // The inch is 25.4 mm by definition (international yard and pound agreement, 1959).
  it.each([
    ['1/8', 3.175],
    ['1 1/2', 38.1],
    ['1-1/2', 38.1],
    ['.25', 6.35],
    ['6"', 152.4],
    ['6 in', 152.4],
    ['3.2 mm', 3.2],
    ['0', 0],
    ['3 / 32', 2.38125],
  ])('reads %s', (text, mm) => expect(parseLength(text, 'in')).toBeCloseTo(mm, 9))

  it('takes a bare number in the house’s unit', () => expect(parseLength('9', 'mm')).toBe(9))

  it.each(['', 'wide', '1/0', '-1', '1 2', '1/2/3', '3 ft'])('refuses “%s” in plain words', text => {
    expect(() => parseLength(text, 'in')).toThrow(RangeError)
  })
})

describe('formatFraction', () => {
  it.each([
    [33.3375, 16, '1 5/16'],
    [3.175, 16, '1/8'],
    [152.4, 16, '6'],
    [0, 16, '0'],
    [-6.35, 16, '-1/4'],
    [25.3, 16, '1'],
  ])('%d mm in 1/%d is %s', (mm, denominator, text) => {
    expect(formatFraction(mm, denominator)).toBe(text)
  })

  it('is read back as itself, to half a step', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 2000, noNaN: true }), mm => {
        expect(Math.abs(parseLength(formatFraction(mm, 32), 'in') - mm)).toBeLessThanOrEqual(inches(1 / 64) + 1e-9)
      }),
    )
  })
})

it('shows a length with its unit', () => {
  expect(formatLength(inches(1 / 32), 'in')).toBe('1/32 in')
  expect(formatLength(inches(9 / 32), 'in')).toBe('9/32 in')
  expect(formatLength(31.75, 'in')).toBe('1 1/4 in')
  expect(formatLength(2.38, 'mm')).toBe('2.4 mm')
  expect(formatLength(152.4, 'mm')).toBe('152 mm')
})

describe('lengthWithin', () => {
  const rod = { lowMm: inches(1 / 16), highMm: inches(5 / 16) }
  it.each([
    ['3/32', 2.38125],
    ['.094', 2.3876],
    ['2.4 mm', 2.4],
    ['2.4', 2.4],
  ])('reads %s in an inch shop as %d mm', (text, mm) => {
    expect(lengthWithin(text, 'in', rod).mm).toBeCloseTo(mm, 6)
    expect(lengthWithin(text, 'in', rod).said).toBe('3/32 in (2.4 mm)')
  })
  it('takes a bare number in the house’s unit when it can be that', () => {
    expect(lengthWithin('6', 'in', { lowMm: 5, highMm: 600 }).mm).toBeCloseTo(152.4, 9)
    expect(lengthWithin('6', 'mm', { lowMm: 5, highMm: 600 }).mm).toBe(6)
  })
  it('says the range in the house’s unit, and takes both of its ends', () => {
    expect(() => lengthWithin('9 in', 'in', rod)).toThrow('From 1/16 to 5/16 in')
    expect(() => lengthWithin('90', 'mm', rod)).toThrow('From 1.6 to 7.9 mm')
    expect(lengthWithin('5/16', 'in', rod).mm).toBe(rod.highMm)
    expect(lengthWithin('1/16', 'in', rod).mm).toBe(rod.lowMm)
  })
  it('writes ranges and both units', () => {
    expect(formatRange(25.4, 50.8, 'in')).toBe('1 to 2 in')
    expect(formatRange(25.4, 50.8, 'mm')).toBe('25.4 to 50.8 mm')
    expect([exactLength(4.49, 'in'), exactLength(4.49, 'mm')]).toEqual(['0.177 in', '4.5 mm'])
    expect(bothUnits(6.35)).toBe('1/4 in (6.4 mm)')
  })
})

it.each([
  [(25.4 * 3) / 64, 'in', '3/64 in'],
  [0.8, 'in', '0.031 in'],
  [0.79375, 'in', '1/32 in'],
  [0.79375, 'mm', '0.79 mm'],
  [50, 'mm', '50 mm'],
  [52.1, 'in', '2.051 in'],
] as const)('%f mm held against a limit is %s: %s', (mm, unit, said) => {
  expect(heldLength(mm, unit)).toBe(said)
})
