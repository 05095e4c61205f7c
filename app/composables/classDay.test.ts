import { expect, it } from 'vitest'
import { spokenDay, today } from './classDay'

it('a class day is the local day, also just before and after midnight', () => {
  expect(today(new Date(2026, 9, 5, 23, 59))).toBe('2026-10-05')
  expect(today(new Date(2026, 9, 6, 0, 1))).toBe('2026-10-06')
  expect(today(new Date(2027, 0, 1, 12))).toBe('2027-01-01')
})

it('is said as people write it', () => expect(spokenDay('2026-10-05')).toBe('Mon 5 Oct'))
