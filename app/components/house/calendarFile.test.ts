import { createEvents } from 'ics'
import { describe, expect, it } from 'vitest'
import { readCalendar } from './calendarFile'

const WITHIN = { from: '2026-09-01', to: '2027-08-31' }
const calendar = (...entries: readonly string[][]) =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Gannet Quay//EN',
    ...entries.flatMap((lines, n) => [
      'BEGIN:VEVENT',
      ...(lines[0]!.startsWith('UID') ? [] : [`UID:${n}@gannet`]),
      'DTSTAMP:20260901T000000Z',
      ...lines,
      'END:VEVENT',
    ]),
    'END:VCALENDAR',
  ].join('\r\n')
const found = (...entries: readonly string[][]) => readCalendar(calendar(...entries), WITHIN)

describe('a calendar file', () => {
  it('gives its whole days, the last one the day before the end that it says', () => {
    const { daysOff, atHours } = found(
      ['DTSTART;VALUE=DATE:20261221', 'DTEND;VALUE=DATE:20270102', 'SUMMARY:Winter break'],
      ['DTSTART;VALUE=DATE:20261126', 'SUMMARY:A feast\\, and a day'],
      ['DTSTART:20261005T180000Z', 'DTEND:20261005T210000Z', 'SUMMARY:Evening class'],
    )
    expect(daysOff).toEqual([
      { from: '2026-11-26', to: '2026-11-26', name: 'A feast, and a day' },
      { from: '2026-12-21', to: '2027-01-01', name: 'Winter break' },
    ])
    expect(atHours).toBe(1)
  })
  it('follows what comes again, but for the times that were taken out', () => {
    const { daysOff } = found(['DTSTART;VALUE=DATE:20200501', 'RRULE:FREQ=YEARLY', 'SUMMARY:May Day'])
    expect(daysOff).toEqual([{ from: '2027-05-01', to: '2027-05-01', name: 'May Day' }])
    const fridays = found([
      'DTSTART;VALUE=DATE:20261002',
      'RRULE:FREQ=WEEKLY;COUNT=4',
      'EXDATE;VALUE=DATE:20261009',
      'SUMMARY:Shop let',
    ])
    expect(fridays.daysOff.map(one => one.from)).toEqual(['2026-10-02', '2026-10-16', '2026-10-23'])
  })
  it('follows it from however long ago, and moves or calls off a time by the entry that stands for it', () => {
    const week = ['UID:week', 'DTSTART;VALUE=DATE:20100101', 'RRULE:FREQ=WEEKLY', 'SUMMARY:Friday let']
    const moved = ['UID:week', 'RECURRENCE-ID;VALUE=DATE:20260911', 'DTSTART;VALUE=DATE:20260910', 'SUMMARY:Friday let']
    const off = ['UID:week', 'RECURRENCE-ID;VALUE=DATE:20260918', 'DTSTART;VALUE=DATE:20260918', 'STATUS:CANCELLED']
    const days = found(week, moved, off).daysOff.map(one => one.from)
    expect(days.slice(0, 4)).toEqual(['2026-09-04', '2026-09-10', '2026-09-25', '2026-10-02'])
    expect(days).toHaveLength(51)
  })
  it('leaves out what was cancelled, what is past, and the same again', () => {
    const day = ['DTSTART;VALUE=DATE:20261012', 'SUMMARY:Autumn day']
    const { daysOff } = found(
      day,
      day,
      [...day, 'STATUS:CANCELLED'],
      ['DTSTART;VALUE=DATE:20250101', 'SUMMARY:Long ago'],
    )
    expect(daysOff).toEqual([{ from: '2026-10-12', to: '2026-10-12', name: 'Autumn day' }])
  })
  it('goes by the days as they stand there, not by a zone, and takes a length in place of an end', () => {
    const { daysOff } = found(['DTSTART;VALUE=DATE:20270301', 'DURATION:P3D', 'SUMMARY:'])
    expect(daysOff).toEqual([{ from: '2027-03-01', to: '2027-03-03', name: 'No class' }])
  })
  it('is read as another library writes it', () => {
    const { value } = createEvents([{ title: 'Spring break', start: [2027, 3, 15], end: [2027, 3, 20] }])
    expect(readCalendar(value!, WITHIN).daysOff).toEqual([
      { from: '2027-03-15', to: '2027-03-19', name: 'Spring break' },
    ])
  })
  it.each([
    ['', 'This is no calendar file'],
    ['Name,Booth\nRuna,1', 'This is no calendar file'],
    ['BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\nDTSTART', 'This is no calendar file'],
    [calendar(), 'There is no day in this calendar from now on.'],
    [calendar(['DTSTART;VALUE=DATE:20200101']), 'There is no day in this calendar from now on.'],
    [
      calendar(['DTSTART:20261005T180000Z', 'DTEND:20261005T210000Z']),
      'There is no whole day in this calendar, only entries at hours of a day (1).',
    ],
  ])('%j is refused in words', (text, says) => expect(() => readCalendar(text, WITHIN)).toThrow(says))
})
