import { expect, it } from 'vitest'
import { atLimit, inches, over, SAME_SHARE, stepsToCover, under, wholeSteps } from '.'

it('a limit met exactly is met, by sums that differ in their last bits', () => {
  expect(over(0.1 + 0.2, 0.3)).toBe(false)
  expect(under(0.3, 0.1 + 0.2)).toBe(false)
  expect(atLimit(0.1 + 0.2, 0.3)).toBe(true)
})
it('tells a sixty-fourth of an inch from the limit', () => {
  expect(over(inches(1 / 16) + inches(1 / 64), inches(1 / 16))).toBe(true)
  expect(under(inches(1 / 16) - inches(1 / 64), inches(1 / 16))).toBe(true)
})
it('shares are held closer than lengths', () => {
  expect(over(0.9 + 1e-8, 0.9)).toBe(false)
  expect(over(0.9 + 1e-8, 0.9, SAME_SHARE)).toBe(true)
})
it('whole steps that just fit, fit; a width that is just covered, is', () => {
  expect(wholeSteps(0.3, 0.1)).toBe(3)
  expect(stepsToCover(0.3, 0.1)).toBe(3)
  expect(stepsToCover(0.31, 0.1)).toBe(4)
})
it('what is not a number is neither over nor under', () => {
  expect(over(NaN, 1)).toBe(false)
  expect(under(NaN, 1)).toBe(false)
})
