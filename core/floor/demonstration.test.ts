import { describe, expect, it } from 'vitest'
import { ELEMENTS } from '../grading'
import { arcMinutes, demonstrationOf, sayWrongMost, wrongMost, type ElementDay } from '.'

const row = (studentId: string, element: ElementDay['element'], tried: number, sound: number): ElementDay => ({
  studentId,
  element,
  tried,
  sound,
})

describe('what a section gets wrong most', () => {
  it('is what most students get wrong, not what one of them tried most', () => {
    const rows = [
      row('a', 'restart', 60, 0),
      ...['a', 'b', 'c', 'd'].map(student => row(student, 'start', 6, 3)),
      ...['b', 'c', 'd'].map(student => row(student, 'restart', 6, 6)),
    ]
    expect(wrongMost(rows)).toEqual({ element: 'start', unsound: 0.5, students: 4, of: 4 })
  })
  it('adds up a student’s coupons of the day, and weighs as the score does', () => {
    // Both half unsound for both students: restarts weigh 3, ends 2.
    const rows = ['a', 'b'].flatMap(student => [
      row(student, 'ends', 4, 2),
      row(student, 'restart', 2, 0),
      row(student, 'restart', 2, 2),
    ])
    expect(wrongMost(rows)).toEqual({ element: 'restart', unsound: 0.5, students: 2, of: 2 })
  })
  it('is nothing where all was sound, or nothing was tried', () => {
    expect(wrongMost([row('a', 'run', 3, 3), row('a', 'root', 0, 0)])).toBeNull()
    expect(wrongMost([])).toBeNull()
  })
  it('is said in words, and has a demonstration for every element', () => {
    expect(sayWrongMost({ element: 'restart', unsound: 0.463, students: 7, of: 9 })).toBe(
      'Restarts: 7 of 9 students, 46 % of theirs not sound',
    )
    expect(new Set(ELEMENTS.map(({ id }) => demonstrationOf(id))).size).toBe(ELEMENTS.length)
  })
})

describe('minutes at the arc', () => {
  const bead = { id: 'b', offsetMm: 0, widthMm: 10, fromMm: 0, toMm: 203.2 }
  // Eight inches in a minute by hand: common practice.
  it('are by the stopwatch where there is one, else by the length of bead, and not by a root’s own side', () => {
    expect(arcMinutes({ beads: [bead] })).toBeCloseTo(1, 12)
    expect(arcMinutes({ beads: [bead, { ...bead, arcSeconds: 90 }] })).toBeCloseTo(2.5, 12)
    expect(arcMinutes({ beads: [bead, { ...bead, face: 'root' }] })).toBeCloseTo(1, 12)
  })
})
