import { describe, expect, it } from 'vitest'
import { classDayBeside, classesBetween, meetingFits, meetingOn, sayMeetings, type Meets } from '.'

// 5 October 2026 is a Monday.
const section: Meets = {
  meetings: [
    { weekday: 'Mon', from: '18:00', to: '21:00' },
    { weekday: 'Thu', from: '13:00', to: '15:00' },
    { weekday: 'Thu', from: '08:30', to: '12:00' },
  ],
  termFrom: '2026-10-01',
  termTo: '2026-10-29',
  daysOff: [],
}

const span = (times: string) => {
  const [from, to] = times.split(' ')
  return { from: from!, to: to! }
}

describe('when a section meets', () => {
  it('is from its first meeting of a day to the end of its last', () => {
    expect(meetingOn(section, '2026-10-05')).toEqual({ from: '18:00', to: '21:00' })
    expect(meetingOn(section, '2026-10-08')).toEqual({ from: '08:30', to: '15:00' })
    expect(meetingOn(section, '2026-10-06')).toBeNull()
  })
  it('is said with days of the same hours together', () => {
    const days = ['Mon', 'Tue', 'Thu'].map(weekday => ({ weekday, from: '08:30', to: '12:00' }))
    expect(sayMeetings(days)).toBe('Mon, Tue, Thu 08:30–12:00')
    expect(sayMeetings(section.meetings)).toBe('Mon 18:00–21:00; Thu 13:00–15:00; Thu 08:30–12:00')
    expect(sayMeetings([])).toBe('')
  })
  it('goes on past midnight, where class days begin later', () => {
    const meetings = ['19:00 22:00', '22:30 01:30'].map(times => ({ weekday: 'Mon', ...span(times) }))
    const night = { meetings, daysOff: [] }
    expect(meetingOn(night, '2026-10-05', 4)).toEqual({ from: '19:00', to: '01:30' })
  })
  it.each<[string, number | undefined, boolean]>([
    ['18:00 21:00', 0, true],
    ['18:00 18:00', 0, false],
    ['22:00 01:00', 0, false],
    ['22:00 01:00', 1, false],
    ['22:00 01:00', 2, true],
    ['22:00 04:00', 4, false],
    ['06:00 12:00', 6, true],
    ['06:00 12:00', 7, false],
    // Where nobody says when class days begin: whether it could be at any hour.
    ['22:00 01:00', undefined, true],
    ['08:00 07:00', undefined, true],
    ['18:00 17:00', undefined, false],
    ['00:30 00:10', undefined, false],
  ])('%s with days that begin at %s: %s', (times, turnsAt, fits) =>
    expect(meetingFits(span(times), turnsAt)).toBe(fits),
  )
  it('is found before and after a day, within the term, over the end of summer time', () => {
    expect(classDayBeside(section, '2026-10-05', 1)).toBe('2026-10-08')
    expect(classDayBeside(section, '2026-10-05', -1)).toBe('2026-10-01')
    expect(classDayBeside(section, '2026-10-24', 1)).toBe('2026-10-26')
    expect(classDayBeside(section, '2026-10-01', -1)).toBeNull()
    expect(classDayBeside(section, '2026-10-29', 1)).toBeNull()
    expect(classDayBeside({ ...section, meetings: [] }, '2026-10-05', 1)).toBeNull()
    // From the other end of a summer, and not from longer ago.
    expect(classDayBeside(section, '2026-12-24', -1)).toBe('2026-10-29')
    expect(classDayBeside(section, '2027-03-24', -1)).toBeNull()
  })
  it('is not on a day off, which is passed over', () => {
    const free = { ...section, daysOff: [{ from: '2026-10-07', to: '2026-10-23', name: 'break' }] }
    expect([meetingOn(free, '2026-10-08'), meetingOn(free, '2026-10-05')?.from]).toEqual([null, '18:00'])
    expect([classDayBeside(free, '2026-10-05', 1), classDayBeside(free, '2026-10-26', -1)]).toEqual([
      '2026-10-26',
      '2026-10-05',
    ])
  })
  it('is counted between two days, both among them, within the term, days off or not', () => {
    expect(classesBetween(section, '2026-10-05', '2026-10-12')).toBe(3)
    expect(classesBetween(section, '2026-10-06', '2026-10-07')).toBe(0)
    expect(classesBetween(section, '2026-10-26', '2026-12-31')).toBe(2)
    const free = { ...section, daysOff: [{ from: '2026-10-05', to: '2026-10-12', name: 'break' }] }
    expect(classesBetween(free, '2026-10-05', '2026-10-12')).toBe(3)
  })
})
