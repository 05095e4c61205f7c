import { describe, expect, it } from 'vitest'
import { dayOffOn, weeksOfClass, type DaysOff } from '.'

const off = (from: string, to: string, name: string): DaysOff => ({ from, to, name })
const AUTUMN = off('2026-10-12', '2026-10-23', 'autumn break')
const COLUMBUS = off('2026-10-12', '2026-10-12', 'a bank holiday')

describe('a day off', () => {
  it('lies between two days, both among them', () => {
    const named = ['2026-10-11', '2026-10-12', '2026-10-23', '2026-10-24'].map(day => dayOffOn([AUTUMN], day)?.name)
    expect(named).toEqual([undefined, 'autumn break', 'autumn break', undefined])
    expect(dayOffOn([], '2026-10-12')).toBeNull()
  })
  it('is named by the shortest span that holds it, in whatever order they stand', () => {
    for (const spans of [
      [AUTUMN, COLUMBUS],
      [COLUMBUS, AUTUMN],
    ])
      expect(dayOffOn(spans, '2026-10-12')?.name).toBe('a bank holiday')
  })
})

describe('weeks of class', () => {
  const twice = { weekdays: ['Mon', 'Wed'], daysOff: [] as DaysOff[] }
  it.each([
    // Sunday to the Sunday of the next week but one: two Mondays, two Wednesdays.
    ['2026-10-04', '2026-10-18', 2],
    // From Monday evening on: that Monday is past.
    ['2026-10-05', '2026-10-18', 1.5],
    ['2026-10-05', '2026-10-07', 0.5],
    ['2026-10-05', '2026-10-05', 0],
    ['2026-10-18', '2026-10-04', 0],
  ])('after %s, to %s, on Mondays and Wednesdays, are %d', (after, to, weeks) =>
    expect(weeksOfClass(twice, after, to)).toBe(weeks),
  )
  it('are fewer by the meetings that fall on days off', () => {
    expect(weeksOfClass({ ...twice, daysOff: [COLUMBUS] }, '2026-10-04', '2026-10-18')).toBe(1.5)
    expect(weeksOfClass({ ...twice, daysOff: [AUTUMN, COLUMBUS] }, '2026-10-04', '2026-11-01')).toBe(2)
    // A free Friday takes nothing from a section that does not meet on it.
    expect(weeksOfClass({ ...twice, daysOff: [off('2026-10-09', '2026-10-11', '')] }, '2026-10-04', '2026-10-18')).toBe(
      2,
    )
  })
  it('of a section without set days go by the calendar', () => {
    const open = { weekdays: [], daysOff: [COLUMBUS] }
    expect(weeksOfClass(open, '2026-10-04', '2026-10-11')).toBe(1)
    expect(weeksOfClass(open, '2026-10-11', '2026-10-18')).toBeCloseTo(6 / 7, 9)
  })
})
