import { describe, expect, it } from 'vitest'
import { isTry } from '../core/coupon'
import { gradeCoupon } from '../core/grading'
import { growSchool, SCHOOL_RULES } from './gannetQuay'

const school = growSchool(20260914, '2026-11-22')
const students = school.flatMap(section => section.students)
const coupons = students.flatMap(student => student.coupons)

describe('the made-up school', () => {
  it('has three sections, 36 students and about 2,500 coupons', () => {
    expect([school.length, students.length, coupons.length]).toEqual([3, 36, 2520])
  })
  it('grows the same from the same seed', () => expect(growSchool(20260914, '2026-11-22')[1]!.students[3]).toEqual(school[1]!.students[3]))
  it('welds on class days only', () => {
    const names = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']
    for (const { fields, students: members } of school) {
      const days = new Set(fields.meetings.map(meeting => meeting.weekday as string))
      for (const student of members) for (const { document } of student.coupons) expect(days.has(names[new Date(`${document.classDay}T12:00:00Z`).getUTCDay()]!)).toBe(true)
    }
  })
  it('gets better: more coupons move on in the last weeks of a position than in the first', () => {
    const good = (part: typeof coupons) => part.filter(({ document }) => gradeCoupon(document, SCHOOL_RULES).verdict === 'move on').length / part.length
    const flat = students.map(student => student.coupons.filter(({ document }) => document.ticket.position === '1G'))
    expect(good(flat.flatMap(part => part.slice(-5)))).toBeGreaterThan(good(flat.flatMap(part => part.slice(0, 5))) + 0.1)
  })
  it('has someone who fails restarts as nobody else does', () => {
    const share = (index: number) => {
      const restarts = students[index]!.coupons.slice(-40).flatMap(({ document }) => document.marks.filter(mark => mark.kind === 'restart').filter(isTry))
      return restarts.filter(mark => mark.degree !== 'sound').length / restarts.length
    }
    const others = students.map((_, index) => share(index)).filter((_, index) => index !== 0).sort((a, b) => a - b)
    expect(share(0)).toBeGreaterThan(others[Math.floor(others.length / 2)]!)
  })
})
