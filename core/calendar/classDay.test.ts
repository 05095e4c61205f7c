import { describe, expect, it } from 'vitest'
import { dayNumber } from '../calendar'
import {
  classDayAt,
  dayBegan,
  daysAfter,
  daysBetween,
  isTimeZone,
  longDay,
  MACHINE_CLOCK,
  mondayOf,
  recordDay,
  spokenDay,
  spokenMonth,
  timeZones,
  wallClockAt,
  weekdayOf,
} from '.'

const CHICAGO = { zone: 'America/Chicago', turnsAt: 0 }

describe('the class day', () => {
  it.each([
    ['2026-10-06T01:30:00Z', 'America/Chicago', '2026-10-05', '20:30'],
    ['2026-10-05T08:00:00Z', 'Pacific/Auckland', '2026-10-05', '21:00'],
    ['2026-10-05T11:30:00Z', 'Pacific/Auckland', '2026-10-06', '00:30'],
    ['2026-10-05T18:30:00Z', 'Asia/Kolkata', '2026-10-06', '00:00'],
    // The night the clocks go back, on both sides of it: 1 November 2026 in Chicago.
    ['2026-11-01T04:59:00Z', 'America/Chicago', '2026-10-31', '23:59'],
    ['2026-11-02T05:59:00Z', 'America/Chicago', '2026-11-01', '23:59'],
    ['2026-11-02T06:00:00Z', 'America/Chicago', '2026-11-02', '00:00'],
  ])('at %s in %s is %s, %s on the wall', (moment, zone, day, clock) => {
    expect(classDayAt(new Date(moment), { zone, turnsAt: 0 })).toBe(day)
    expect(wallClockAt(new Date(moment), zone)).toBe(clock)
  })
  it('is the machine’s own where the school has said nothing', () => {
    expect(classDayAt(new Date(2026, 9, 5, 23, 59), MACHINE_CLOCK)).toBe('2026-10-05')
    expect(classDayAt(new Date(2026, 9, 6, 0, 1), MACHINE_CLOCK)).toBe('2026-10-06')
    expect(wallClockAt(new Date(2026, 9, 5, 18, 5), '')).toBe('18:05')
  })
  it('began at midnight on the wall, also on the day that has 25 hours', () => {
    expect(dayBegan(new Date('2026-11-02T05:00:00Z'), CHICAGO).getTime()).toBe(Date.parse('2026-11-01T05:00:00Z'))
    expect(dayBegan(new Date(2026, 9, 5, 18, 5), MACHINE_CLOCK)).toEqual(new Date(2026, 9, 5))
  })
})

describe('the class day of a school whose classes go on past midnight', () => {
  const late = { ...CHICAGO, turnsAt: 4 }
  it.each([
    // An evening in Chicago, and the small hours after it.
    ['2026-10-06T03:30:00Z', '2026-10-05'],
    ['2026-10-06T06:30:00Z', '2026-10-05'],
    ['2026-10-06T08:59:59Z', '2026-10-05'],
    ['2026-10-06T09:00:00Z', '2026-10-06'],
    // The night the clocks go back: half past one comes twice, and is the evening before both times.
    ['2026-11-01T06:30:00Z', '2026-10-31'],
    ['2026-11-01T07:30:00Z', '2026-10-31'],
    ['2026-11-01T09:59:00Z', '2026-10-31'],
    ['2026-11-01T10:00:00Z', '2026-11-01'],
    // The night they go forward: there is no half past two.
    ['2026-03-08T08:30:00Z', '2026-03-07'],
    ['2026-03-08T09:00:00Z', '2026-03-08'],
  ])('at %s is %s', (moment, day) => expect(classDayAt(new Date(moment), late)).toBe(day))
  it('began at that hour of its own day', () => {
    expect(dayBegan(new Date('2026-10-06T06:30:00Z'), late).getTime()).toBe(Date.parse('2026-10-05T09:00:00Z'))
    expect(dayBegan(new Date('2026-11-01T11:00:00Z'), late).getTime()).toBe(Date.parse('2026-11-01T10:00:00Z'))
  })
})

describe('days', () => {
  it('are counted over months, years and changes of the clock', () => {
    expect(daysAfter('2026-12-31', 1)).toBe('2027-01-01')
    expect(daysAfter('2028-03-01', -1)).toBe('2028-02-29')
    expect(daysBetween('2026-10-24', '2026-11-02')).toBe(9)
    expect(daysBetween('2026-10-12', '2026-10-05')).toBe(-7)
    expect([dayNumber('1970-01-01'), dayNumber('1970-01-02'), dayNumber('2000-01-01')]).toEqual([0, 1, 10957])
  })
  it('have their place in the week', () => {
    expect([weekdayOf('2026-10-04'), weekdayOf('2026-10-05')]).toEqual([0, 1])
    expect(['2026-10-05', '2026-10-08', '2026-10-11'].map(mondayOf)).toEqual(Array(3).fill('2026-10-05'))
  })
  it('are said as people write them', () =>
    expect([spokenDay('2026-10-05'), longDay('2026-10-05'), recordDay('2026-10-05'), spokenMonth('2026-10')]).toEqual([
      'Mon 5 Oct',
      'Mon 5 Oct 2026',
      '5 October 2026',
      'Oct 2026',
    ]))
})

it('knows the zones a school may stand in', () => {
  expect(timeZones()).toContain('Europe/Lisbon')
  expect(['Europe/Lisbon', 'Gannet/Quay', ''].map(isTimeZone)).toEqual([true, false, false])
})
