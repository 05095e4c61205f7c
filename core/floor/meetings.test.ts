import { describe, expect, it } from 'vitest'
import { classDayBeside, meetingOn, type Meets } from '.'

// 5 October 2026 is a Monday.
const section: Meets = {
  meetings: [
    { weekday: 'Mon', from: '18:00', to: '21:00' },
    { weekday: 'Thu', from: '13:00', to: '15:00' },
    { weekday: 'Thu', from: '08:30', to: '12:00' },
  ],
  termFrom: '2026-10-01',
  termTo: '2026-10-29',
}

describe('when a section meets', () => {
  it('is from its first meeting of a day to the end of its last', () => {
    expect(meetingOn(section, '2026-10-05')).toEqual({ from: '18:00', to: '21:00' })
    expect(meetingOn(section, '2026-10-08')).toEqual({ from: '08:30', to: '15:00' })
    expect(meetingOn(section, '2026-10-06')).toBeNull()
  })
  it('is found before and after a day, within the term, over the end of summer time', () => {
    expect(classDayBeside(section, '2026-10-05', 1)).toBe('2026-10-08')
    expect(classDayBeside(section, '2026-10-05', -1)).toBe('2026-10-01')
    expect(classDayBeside(section, '2026-10-24', 1)).toBe('2026-10-26')
    expect(classDayBeside(section, '2026-10-01', -1)).toBeNull()
    expect(classDayBeside(section, '2026-10-29', 1)).toBeNull()
    expect(classDayBeside({ ...section, meetings: [] }, '2026-10-05', 1)).toBeNull()
    // The first looked at after the summer is a fortnight's way at most.
    expect(classDayBeside(section, '2026-12-24', -1)).toBeNull()
  })
})
