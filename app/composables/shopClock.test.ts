import { afterEach, expect, it } from 'vitest'
import { clockNow, clockOf, dayOf, setShopClock, today, wallTime } from './shopClock'

afterEach(() => setShopClock({ timeZone: '', dayTurnsAt: 0 }))

it('is the browser’s until the school has said where it stands', () => {
  expect(today(new Date(2026, 9, 5, 23, 59))).toBe('2026-10-05')
  expect(today(new Date(2026, 9, 6, 0, 1))).toBe('2026-10-06')
  expect(wallTime(new Date(2026, 10, 2, 18, 5).toISOString())).toBe('18:05')
})

it('is the school’s on whatever tablet, wherever that thinks it is', () => {
  setShopClock({ timeZone: 'Pacific/Auckland', dayTurnsAt: 0 })
  const moment = '2026-10-05T11:30:00Z'
  expect([today(new Date(moment)), dayOf(moment), clockNow(new Date(moment)), wallTime(moment)]).toEqual([
    '2026-10-06',
    '2026-10-06',
    '00:30',
    '00:30',
  ])
})

it.each([
  [0, '0:00'],
  [0.5, '0:30'],
  [9.99, '9:59'],
  [59.999, '59:59'],
  [60, '1:00:00'],
  [83.5, '1:23:30'],
  [600, '10:00:00'],
])('%d minutes on the clock: %s', (minutes, says) => expect(clockOf(minutes)).toBe(says))
