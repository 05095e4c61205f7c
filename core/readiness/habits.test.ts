import { describe, expect, it } from 'vitest'
import { BURIED, NOTHING_WRONG, wrongOf, type Tried, type Wrong } from '../progress'
import { logistic, logit } from '../statistics'
import { habitsOf, recalibrate, rejectedOf, sayBefore, saySure, shiftOf, straysOfSchool, type ToldOutcome } from '.'

const NONE = { bent: 0, opened: 0 }
const SET = 'd1.1 welder'
const wrong = (unsound: number, rejected: number, beads = 100, buried = 0): Wrong => ({
  unsound: { ends: unsound },
  rejected: { [SET]: { ends: rejected }, [BURIED]: { run: buried } },
  beads,
})
const known = (own: Wrong, school: Wrong = NOTHING_WRONG) => ({ own, school, bends: NONE, schoolBends: NONE })

describe('what becomes of unsound work under test terms', () => {
  it('is three of ten where nobody has welded anything', () => {
    const habits = habitsOf(known(NOTHING_WRONG), SET)
    expect(rejectedOf(habits, 'ends')).toBe(0.3)
    expect([habits.opens, habits.day]).toEqual([0.12, 0.6])
  })
  it('is the school’s while a student has shown little, and the student’s own the more there is', () => {
    const school = wrong(997, 697.9)
    const share = (own: Wrong) => habitsOf(known(own, school), SET).rejected.ends!
    // (697.9 + 3 × 0.3) / (997 + 3) of the school.
    expect(share(NOTHING_WRONG)).toBeCloseTo(0.6988, 12)
    expect(share(wrong(10, 0))).toBeCloseTo(6.988 / 20, 12)
    expect(share(wrong(1000, 100))).toBeCloseTo((100 + 6.988) / 1010, 12)
  })
  it('is what the criteria of that test reject, and not of another', () => {
    const own = wrong(100, 80)
    expect(habitsOf(known(own), 'ix visual').rejected.ends).toBeLessThan(0.05)
    expect(habitsOf(known(own), SET).rejected.ends).toBeGreaterThan(0.7)
  })
  it('strips open the oftener, the more is buried beside what is usual here, up to three in five', () => {
    const school = wrong(1000, 500, 10_000, 500)
    const opens = (buried: number, beads = 400) => habitsOf(known(wrong(50, 20, beads, buried), school), SET).opens
    // (20 + 20 × 0.05) / (400 + 20) of the usual 0.05: as usual.
    expect(opens(20)).toBeCloseTo(0.12, 4)
    expect(opens(60)).toBeCloseTo(0.12 * ((60 + 1) / 420 / 0.05), 3)
    expect(opens(4)).toBeLessThan(0.05)
    expect(opens(4000)).toBe(0.6)
  })
  it('a student whose bends opened more than the school’s is likelier to open again, whose held less', () => {
    const opens = (bent: number, opened: number, schoolBends = { bent: 1000, opened: 150 }) =>
      habitsOf({ ...known(wrong(50, 20)), bends: { bent, opened }, schoolBends }, SET).opens
    const usual = opens(0, 0)
    expect(opens(10, 0)).toBeCloseTo(usual * (1.5 / 20 / 0.15), 2)
    expect(opens(10, 5)).toBeCloseTo(usual * (6.5 / 20 / 0.15), 2)
    // Where a third of all bends show something, three of ten are nothing out of the ordinary.
    expect(opens(10, 3, { bent: 1000, opened: 300 })).toBeCloseTo(usual, 2)
  })
  it('adds up rows by element and set, what counts less by its weight', () => {
    const row: Tried = {
      couponId: 'c',
      day: 0,
      element: 'run',
      lie: '1G',
      work: 'plate',
      rodFamily: 'low hydrogen',
      otherHand: false,
      otherWay: false,
      tried: 6,
      sound: 4,
      mock: false,
      rejected: { [BURIED]: 3 },
    }
    const rows = [row, { ...row, element: 'ends' as const, tried: 4, sound: 2, rejected: { [SET]: 1 } }]
    expect(wrongOf(rows, () => 0.5)).toEqual({
      unsound: { run: 1, ends: 1 },
      rejected: { [BURIED]: { run: 1.5 }, [SET]: { ends: 0.5 } },
      beads: 3,
    })
  })
})

describe('what happened moves the odds', () => {
  const told = (passed: boolean, more: Partial<ToldOutcome> = {}): ToldOutcome => ({
    bookId: 'structural',
    pieceName: '3G plate, 3/8 in, backing',
    visual: { said: 0.5, passed },
    bends: null,
    ...more,
  })
  const here = { bookId: 'structural', pieceName: '3G plate, 3/8 in, backing' }
  const there = { bookId: 'ISO', pieceName: '2G pipe' }
  it('nothing, before a test was recorded, and says how unsure that is', () => {
    const shift = shiftOf(recalibrate([]), 'visual', here)
    expect(shift.mean).toBe(0)
    // School 0.35, book 0.15, piece 0.2.
    expect(shift.deviation).toBeCloseTo(Math.hypot(0.35, 0.15, 0.2), 12)
    expect(shift.student).toBe(0.45)
    expect(shiftOf(recalibrate([]), 'bends', here).deviation).toBeCloseTo(Math.hypot(0.5, 0.1, 0.1), 12)
  })
  it('by as much as so many tests show, further for what was tested than for what was not', () => {
    const eight = Array.from({ length: 40 }, (_, n) => told(n % 10 !== 0))
    const recalibration = recalibrate(eight)
    const [own, other] = [here, there].map(piece => shiftOf(recalibration, 'visual', piece))
    // Nine of ten where five were said: no further than that.
    expect(own!.mean).toBeGreaterThan(0.6)
    expect(own!.mean).toBeLessThan(logit(0.9))
    expect(other!.mean).toBeGreaterThan(0.2)
    expect(other!.mean).toBeLessThan(own!.mean)
    expect(own!.deviation).toBeLessThan(shiftOf(recalibrate([]), 'visual', here).deviation)
  })
  it('the mode is where the gradient is nought: worked for a school with one book and one piece', () => {
    const tests = Array.from({ length: 30 }, (_, n) => told(n < 24))
    const { belief } = recalibrate(tests).visual
    const total = belief.mean.reduce((sum, one) => sum + one, 0)
    // Each of the three is pulled back by its own prior: m / s² = 24 − 30 p, so that they share as their variances.
    const pull = 24 - 30 * logistic(total)
    ;[0.35, 0.15, 0.2].forEach((deviation, n) => expect(belief.mean[n]).toBeCloseTo(pull * deviation ** 2, 6))
  })
  it('moves bends apart from the visual', () => {
    const recalibration = recalibrate(
      Array.from({ length: 30 }, (_, n) =>
        told(true, { visual: { said: 0.97, passed: true }, bends: { said: 0.8, passed: n % 2 === 0 } }),
      ),
    )
    expect(shiftOf(recalibration, 'bends', here).mean).toBeLessThan(-0.5)
    expect(Math.abs(shiftOf(recalibration, 'visual', here).mean)).toBeLessThan(0.2)
  })
  it('can be read by a person', () => {
    expect(straysOfSchool(recalibrate([]))).toEqual([])
    const strays = straysOfSchool(recalibrate(Array.from({ length: 60 }, (_, n) => told(n % 5 !== 0))))
    expect(strays[0]).toMatchObject({ group: { of: 'school' }, stage: 'visual' })
    expect(strays[0]!.points).toBeGreaterThan(10)
    expect(strays.every(one => one.points > 0)).toBe(true)
  })
})

describe('how sure, in words', () => {
  it.each([
    [{ low: 0.5, high: 0.8 }, 40, /^Between about 5 of 10 and about 8 of 10/],
    [{ low: 0.1, high: 0.9 }, 40, /^Too little to say/],
    [{ low: 0.5, high: 0.8 }, 1, /^One coupon says too little of one student/],
    [{ low: 0.5, high: 0.8 }, 5, /^5 coupons say too little/],
  ])('%j after %d coupons', (interval, coupons, said) => expect(saySure(interval, coupons)).toMatch(said))
  it.each([
    [0.68, 11, 7, 'Of 11 tests that were said as much, 7 passed.'],
    [0.68, 4, 4, 'Of 4 tests that were said as much, all passed.'],
    [0.68, 4, 0, 'Of 4 tests that were said as much, none passed.'],
    [0.68, 1, 0, 'The one test that was said as much did not pass.'],
    [0.3, 11, 7, 'No test with such odds has a result here yet.'],
  ])('odds of %d beside %d tests of which %d passed', (odds, count, passed, said) =>
    expect(sayBefore([{ low: 0.6, high: 0.8, count, passed }], odds)).toBe(said),
  )
  it('certain odds have their band too', () =>
    expect(sayBefore([{ low: 0.8, high: 1, count: 3, passed: 3 }], 1)).toMatch(/all passed/))
})
