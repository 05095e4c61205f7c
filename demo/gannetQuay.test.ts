import { describe, expect, it } from 'vitest'
import { isTry, thicknessOf } from '../core/coupon'
import { EXAMPLE_STUDENT } from '../core/coupon/example'
import { gradeCoupon } from '../core/grading'
import { startCurrent } from '../core/setup'
import { runAs } from '../core/trade'
import { couponSchema } from '../contract/coupon'
import { growSchool, SCHOOL_RULES } from './gannetQuay'

const school = growSchool(20260914, '2026-11-22')
const students = school.flatMap(section => section.students)
const coupons = students.flatMap(student => student.coupons)

describe('the made-up school', () => {
  it('has three sections, 36 students and about 2,500 coupons', () => {
    expect([school.length, students.length, coupons.length]).toEqual([3, 36, 2520])
  })
  it('grows the same from the same seed', () =>
    expect(growSchool(20260914, '2026-11-22')[1]!.students[3]).toEqual(school[1]!.students[3]))
  it('welds on class days only', () => {
    const names = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat']
    for (const { fields, students: members } of school) {
      const days = new Set(fields.meetings.map(meeting => meeting.weekday as string))
      for (const student of members)
        for (const { document } of student.coupons)
          expect(days.has(names[new Date(`${document.classDay}T12:00:00Z`).getUTCDay()]!)).toBe(true)
    }
  })
  it('gets better: more coupons move on in the last weeks of a position than in the first', () => {
    const good = (part: typeof coupons) =>
      part.filter(({ document }) => gradeCoupon(document, SCHOOL_RULES).verdict === 'move on').length / part.length
    const flat = students.map(student => student.coupons.filter(({ document }) => document.ticket.position === '1G'))
    expect(good(flat.flatMap(part => part.slice(-5)))).toBeGreaterThan(
      good(flat.flatMap(part => part.slice(0, 5))) + 0.1,
    )
  })
  it('begins with arc strikes, and drills restarts on stub days', () => {
    for (const { coupons: own } of students) {
      expect(own.slice(0, 2).map(({ document }) => document.piece.kind)).toEqual([
        'arc-strike plate',
        'arc-strike plate',
      ])
      expect(
        own
          .filter(({ document }) => document.piece.kind === 'restart strip')
          .every(({ document }) => document.ticket.rods === 'stubs'),
      ).toBe(true)
      expect(own.some(({ document }) => document.piece.kind === 'restart strip')).toBe(true)
    }
  })
  it('has its students on different rungs: nobody teaches one position to a whole class', () => {
    for (const { students: members } of school)
      expect(new Set(members.map(student => student.coupons.at(-1)!.document.ticket.position)).size).toBeGreaterThan(1)
  })
  it('runs its rods where the card says, give or take, but for the one who runs hot', () => {
    const off = (index: number) => {
      const own = students[index]!.coupons.map(
        ({ document: { ticket, piece } }) =>
          ticket.currentA -
          startCurrent(
            {
              ...ticket,
              position: runAs(ticket.position),
              joint: 'pad',
              pass: 'bead',
              thicknessMm: thicknessOf(piece),
            },
            SCHOOL_RULES,
          ).startA,
      )
      return own.reduce((sum, amperes) => sum + amperes, 0) / own.length
    }
    expect(Math.abs(off(4))).toBeLessThan(3)
    expect(off(3)).toBeGreaterThan(9)
  })
  it('is taken whole by the contract', () => {
    for (const { document } of coupons.filter((_, n) => n % 40 === 0))
      expect(() =>
        couponSchema.validateSync({ ...document, studentId: EXAMPLE_STUDENT }, { abortEarly: false }),
      ).not.toThrow()
  })
  it('has someone who fails restarts as nobody else does', () => {
    const share = (index: number) => {
      const restarts = students[index]!.coupons.slice(-40).flatMap(({ document }) =>
        document.marks.filter(mark => mark.kind === 'restart').filter(isTry),
      )
      return restarts.filter(mark => mark.degree !== 'sound').length / restarts.length
    }
    const others = students
      .map((_, index) => share(index))
      .filter((_, index) => index !== 0)
      .sort((a, b) => a - b)
    expect(share(0)).toBeGreaterThan(others[Math.floor(others.length / 2)]!)
  })
})
