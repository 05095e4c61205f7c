import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { attendanceOf, misNoted, type AttendanceNote, type StudentDay } from '.'

const meeting = { from: '18:00', to: '21:00' }
const note = (more: Partial<AttendanceNote>): AttendanceNote => ({
  came: null,
  left: null,
  absent: false,
  why: '',
  ...more,
})
const day = (more: Partial<StudentDay>) =>
  attendanceOf({ meeting, note: null, seen: [], ran: false, now: null, ...more })

describe('a student’s day', () => {
  it.each<[string, Partial<StudentDay>, Partial<ReturnType<typeof attendanceOf>>]>([
    ['nothing noted, nothing seen', {}, { state: 'not seen', minutes: 0, came: null }],
    ['absent with a reason', { note: note({ absent: true, why: 'doctor' }) }, { state: 'absent', minutes: 0 }],
    ['read on another day', { ran: true }, { state: 'here', came: '18:00', minutes: 180 }],
    ['read on another day, without a class', { ran: true, meeting: null }, { state: 'here', came: null, minutes: 0 }],
    // A coupon that is read at 18:40 does not say that its student came late.
    ['seen once', { seen: ['18:40'] }, { state: 'here', came: '18:00', late: false, minutes: 180 }],
    ['seen before the class', { seen: ['17:50', '18:40'] }, { came: '17:50', minutes: 190 }],
    ['seen after it', { seen: ['18:40', '21:15'] }, { minutes: 195 }],
    ['came at 18:10', { note: note({ came: '18:10' }) }, { late: false, minutes: 170 }],
    ['came at 18:11', { note: note({ came: '18:11' }) }, { late: true, minutes: 169 }],
    ['left at 20:50', { note: note({ came: '18:00', left: '20:50' }) }, { leftEarly: false, minutes: 170 }],
    ['left at 20:49', { note: note({ came: '18:00', left: '20:49' }) }, { leftEarly: true, minutes: 169 }],
    ['left, seen before', { seen: ['18:30'], note: note({ left: '19:30' }) }, { came: '18:00', minutes: 90 }],
    ['here until now', { seen: ['18:30'], now: '19:15' }, { minutes: 75 }],
    ['here, the class is over', { seen: ['18:30'], now: '22:30' }, { minutes: 180 }],
    ['noted absent, though seen', { seen: ['18:30'], note: note({ absent: true }) }, { state: 'absent', minutes: 0 }],
  ])('%s', (_, given, expected) => expect(day(given)).toMatchObject(expected))

  it('on a day without a meeting nobody is late, and time runs from the first to the last that was seen', () => {
    expect(day({ meeting: null, seen: ['10:40', '09:00', '10:05'] })).toMatchObject({
      state: 'here',
      came: '09:00',
      minutes: 100,
      late: false,
      leftEarly: false,
    })
    expect(day({ meeting: null, note: note({ came: '09:00', left: '11:00' }) }).minutes).toBe(120)
  })

  const time = fc
    .integer({ min: 0, max: 24 * 60 - 1 })
    .map(minute => `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`)
  it('never has more minutes than the day, nor fewer than none; what is seen later never takes any away', () => {
    fc.assert(
      fc.property(fc.array(time, { maxLength: 6 }), fc.option(time), time, (seen, now, later) => {
        const { minutes } = day({ seen, now })
        expect(minutes).toBeGreaterThanOrEqual(0)
        expect(minutes).toBeLessThan(24 * 60)
        expect(day({ seen: [...seen, later], now }).minutes).toBeGreaterThanOrEqual(minutes)
      }),
    )
  })
})

describe('a class over midnight, where a class day begins at four', () => {
  const night = { meeting: { from: '21:00', to: '01:00' }, turnsAt: 4 }
  it.each<[string, Partial<StudentDay>, Partial<ReturnType<typeof attendanceOf>>]>([
    ['seen on both sides of it', { seen: ['00:40', '22:10'] }, { came: '21:00', late: false, minutes: 240 }],
    ['seen before the class', { seen: ['20:50', '00:10'] }, { came: '20:50', minutes: 250 }],
    ['seen after it', { seen: ['22:00', '01:20'] }, { minutes: 260 }],
    ['came at half past midnight', { note: note({ came: '00:30' }) }, { late: true, minutes: 30 }],
    ['left at a quarter past', { note: note({ came: '21:00', left: '00:15' }) }, { leftEarly: true, minutes: 195 }],
    ['here until now', { seen: ['21:10'], now: '00:20' }, { minutes: 200 }],
    ['the class is over', { seen: ['21:10'], now: '03:00' }, { minutes: 240 }],
  ])('%s', (_, given, expected) => expect(day({ ...night, ...given })).toMatchObject(expected))
  it('a note over midnight can be there, and nowhere else', () => {
    const over = note({ came: '22:00', left: '00:30' })
    expect(misNoted(over, 4)).toBeNull()
    expect(misNoted(over, 0)).toMatchObject({ path: 'left' })
    // Where nobody says when a day begins, it may be.
    expect(misNoted(over)).toBeNull()
    expect(misNoted(note({ came: '22:00', left: '21:00' }))).toMatchObject({ path: 'left' })
  })
})

describe('a note that cannot be', () => {
  it.each<[Partial<AttendanceNote>, keyof AttendanceNote | null]>([
    [{ came: '18:00', left: '21:00' }, null],
    [{ absent: true, why: 'doctor' }, null],
    [{ left: '20:00' }, null],
    [{ came: '18:00', left: '17:00' }, 'left'],
    [{ came: '18:00', absent: true }, 'absent'],
    [{ left: '18:00', absent: true }, 'absent'],
  ])('%j: %s', (given, path) => expect(misNoted(note(given))?.path ?? null).toBe(path))
})
