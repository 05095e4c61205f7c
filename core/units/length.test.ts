import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { formatFraction, formatLength, inches, parseLength } from './length'

describe('parseLength', () => {
  // The inch is 25.4 mm by definition (international yard and pound agreement, 1959).
  it.each([
    ['1/8', 3.175], ['1 1/2', 38.1], ['1-1/2', 38.1], ['.25', 6.35], ['6"', 152.4], ['6 in', 152.4], ['3.2 mm', 3.2], ['0', 0], ['3 / 32', 2.38125],
  ])('reads %s', (text, mm) => expect(parseLength(text, 'in')).toBeCloseTo(mm, 9))

  it('takes a bare number in the house’s unit', () => expect(parseLength('9', 'mm')).toBe(9))

  it.each(['', 'wide', '1/0', '-1', '1 2', '1/2/3', '3 ft'])('refuses “%s” in plain words', (text) => {
    expect(() => parseLength(text, 'in')).toThrow(RangeError)
  })
})

describe('formatFraction', () => {
  it.each([[33.3375, 16, '1 5/16'], [3.175, 16, '1/8'], [152.4, 16, '6'], [0, 16, '0'], [-6.35, 16, '-1/4'], [25.3, 16, '1']])('%d mm in 1/%d is %s', (mm, denominator, text) => {
    expect(formatFraction(mm, denominator)).toBe(text)
  })

  it('is read back as itself, to half a step', () => {
    fc.assert(fc.property(fc.double({ min: 0, max: 2000, noNaN: true }), (mm) => {
      expect(Math.abs(parseLength(formatFraction(mm, 32), 'in') - mm)).toBeLessThanOrEqual(inches(1 / 64) + 1e-9)
    }))
  })
})

it('shows a length with its unit', () => {
  expect(formatLength(inches(1 / 32), 'in')).toBe('1/32 in')
  expect(formatLength(31.75, 'in')).toBe('1 1/4 in')
  expect(formatLength(2.38, 'mm')).toBe('2.4 mm')
  expect(formatLength(152.4, 'mm')).toBe('152 mm')
})
