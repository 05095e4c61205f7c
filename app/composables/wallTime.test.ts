import { expect, it } from 'vitest'
import { clockOf, wallTime } from './wallTime'

it.each([
  [0, '0:00'],
  [0.5, '0:30'],
  [9.99, '9:59'],
  [59.999, '59:59'],
  [60, '1:00:00'],
  [83.5, '1:23:30'],
  [600, '10:00:00'],
])('%d minutes on the clock: %s', (minutes, says) => expect(clockOf(minutes)).toBe(says))

it('a moment is told in the shop’s own time', () => {
  const moment = new Date(2026, 10, 2, 18, 5).toISOString()
  expect(wallTime(moment)).toBe('18:05')
})
