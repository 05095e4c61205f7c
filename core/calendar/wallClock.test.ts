import { expect, it } from 'vitest'
import { minutesBetween, wallAfter } from '.'

it('reckons by the clock on the wall, past midnight too', () => {
  expect(minutesBetween('18:00', '21:00')).toBe(180)
  expect(minutesBetween('22:30', '01:00')).toBe(150)
  expect([0, 75, 360].map(minutes => wallAfter('18:00', minutes))).toEqual(['18:00', '19:15', '00:00'])
})
