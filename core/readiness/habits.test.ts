import { describe, expect, it } from 'vitest'
import { BURIED, NOTHING_WRONG, wrongOf, type Tried, type Wrong } from '../progress'
import { logistic, logit } from '../statistics'
import type { Work } from '../trade'
import {
  habitsOf,
  recalibrate,
  rejectedOf,
  sayBefore,
  saySure,
  sayToStudent,
  shiftOf,
  straysOfSchool,
  type ToldOutcome,
} from '.'

const NONE = { bent: 0, opened: 0 }
const SET = 'd1.1 welder'
const TEST = { criteriaId: SET, work: 'groove' } as const
const wrong = (unsound: number, rejected: number, beads = 100, buried = 0, work: Work = 'groove'): Wrong => [
  { element: 'ends', work, tried: 2 * unsound, unsound, rejected: { [SET]: rejected } },
  { element: 'run', work, tried: beads, unsound: 0, rejected: { [BURIED]: buried } },
]
const known = (own: Wrong, school: Wrong = NOTHING_WRONG) => ({ own, school, bends: NONE, schoolBends: NONE })

describe('what becomes of unsound work under test terms', () => {
  it('is three of ten where nobody has welded anything', () => {
    const habits = habitsOf(known(NOTHING_WRONG), TEST)
    expect(rejectedOf(habits, 'ends')).toBe(0.3)
    expect([habits.opens, habits.day]).toEqual([0.1, 0.6])
  })
  it('is the school’s while a student has shown little, and the student’s own the more there is', () => {
    const school = wrong(997, 697.9)
    const share = (own: Wrong) => habitsOf(known(own, school), TEST).rejected.ends!
    // (697.9 + 3 × 0.3) / (997 + 3) of the school on all work; on grooves (697.9 + 10 × 0.6988) / 1007.
    const usual = (697.9 + 10 * 0.6988) / 1007
    expect(share(NOTHING_WRONG)).toBeCloseTo(usual, 12)
    expect(share(wrong(10, 0))).toBeCloseTo((usual * 5) / (10 * usual + 5), 12)
    expect(share(wrong(1000, 100))).toBeCloseTo((usual * 105) / (1000 * usual + 5), 12)
  })
  it('is that of the work the piece is: marks on pads say little of a groove where the school has grooves', () => {
    const school = [...wrong(1000, 900, 100, 0, 'plate'), ...wrong(500, 50)]
    const share = (work: Work, own: Wrong = NOTHING_WRONG) =>
      habitsOf(known(own, school), { criteriaId: SET, work }).rejected.ends!
    const all = (950 + 0.9) / 1503
    expect(share('groove')).toBeCloseTo((50 + 10 * all) / 510, 12)
    expect(share('plate')).toBeCloseTo((900 + 10 * all) / 1010, 12)
    // Nobody has run a pipe: as all work goes.
    expect(share('pipe')).toBeCloseTo(all, 12)
    // Half as many as usual on pads: half as many on a groove too.
    const careful = wrong(1000, share('plate') * 1000 * 0.5, 100, 0, 'plate')
    expect(share('groove', careful) / share('groove')).toBeCloseTo(0.5, 2)
  })
  it('is what the criteria of that test reject, and not of another', () => {
    const own = wrong(100, 80)
    expect(habitsOf(known(own, own), { ...TEST, criteriaId: 'ix visual' }).rejected.ends).toBeLessThan(0.05)
    expect(habitsOf(known(own, own), TEST).rejected.ends).toBeGreaterThan(0.7)
  })
  it('strips open the oftener, the more is buried beside what is usual here', () => {
    const school = wrong(1000, 500, 10_000, 500)
    const opens = (buried: number, beads = 400) => habitsOf(known(wrong(50, 20, beads, buried), school), TEST).opens
    // 400 lengths at the usual 0.05 are 20.
    expect(opens(20)).toBeCloseTo(0.1, 4)
    expect(opens(60)).toBeCloseTo((0.1 * (60 + 5)) / (20 + 5), 3)
    expect(opens(0)).toBeCloseTo((0.1 * 5) / (20 + 5), 3)
    expect(opens(4000)).toBe(1.8)
  })
  it('what is buried is held against what is usual on the same work', () => {
    const school = [...wrong(10, 5, 10_000, 2000, 'plate'), ...wrong(10, 5, 10_000, 500)]
    const opens = (own: Wrong) => habitsOf(known(own, school), TEST).opens
    expect(opens(wrong(50, 20, 400, 80, 'plate'))).toBeCloseTo(0.1, 3)
    expect(opens(wrong(50, 20, 400, 80))).toBeGreaterThan(0.25)
  })
  it('a student whose bends opened more than the school’s is likelier to open again, whose held less', () => {
    const opens = (bent: number, opened: number, schoolBends = { bent: 1000, opened: 150 }) =>
      habitsOf({ ...known(wrong(50, 20)), bends: { bent, opened }, schoolBends }, TEST).opens
    const usual = opens(0, 0)
    expect(opens(10, 0)).toBeCloseTo(usual * (1.5 / 20 / 0.15), 2)
    expect(opens(10, 5)).toBeCloseTo(usual * (6.5 / 20 / 0.15), 2)
    // Where a third of all bends show something, three of ten are nothing out of the ordinary.
    expect(opens(10, 3, { bent: 1000, opened: 300 })).toBeCloseTo(usual, 2)
  })
  it('adds up rows by element, work and set, what counts less by its weight', () => {
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
    expect(wrongOf([...rows, row, { ...row, work: 'groove' as const }], () => 0.5)).toEqual([
      { element: 'run', work: 'plate', tried: 6, unsound: 2, rejected: { [BURIED]: 3 } },
      { element: 'ends', work: 'plate', tried: 2, unsound: 1, rejected: { [SET]: 0.5 } },
      { element: 'run', work: 'groove', tried: 3, unsound: 1, rejected: { [BURIED]: 1.5 } },
    ])
  })
})

describe('what happened moves the odds', () => {
  const told = (passed: boolean, more: Partial<ToldOutcome> = {}): ToldOutcome => ({
    bookId: 'structural',
    pieceName: '3G plate, 3/8 in, backing',
    face: { said: 0.5, passed },
    root: null,
    bends: null,
    ...more,
  })
  const here = { bookId: 'structural', pieceName: '3G plate, 3/8 in, backing' }
  const there = { bookId: 'ISO', pieceName: '2G pipe' }
  it('nothing, before a test was recorded, and says how unsure that is', () => {
    const shift = shiftOf(recalibrate([]), 'face', here)
    expect(shift.mean).toBe(0)
    // All stages of the school 0.22, then this stage, its book and its piece.
    expect(shift.deviation).toBeCloseTo(Math.hypot(0.22, 0.2, 0.15, 0.2), 12)
    expect(shift.student).toBe(0.28)
    expect(shiftOf(recalibrate([]), 'root', here).deviation).toBeCloseTo(Math.hypot(0.22, 0.3, 0.15, 0.2), 12)
    expect(shiftOf(recalibrate([]), 'bends', here).deviation).toBeCloseTo(Math.hypot(0.22, 0.5, 0.1, 0.2), 12)
  })
  it('by as much as so many tests show, further for what was tested than for what was not', () => {
    const eight = Array.from({ length: 40 }, (_, n) => told(n % 10 !== 0))
    const recalibration = recalibrate(eight)
    const [own, other] = [here, there].map(piece => shiftOf(recalibration, 'face', piece))
    // Nine of ten where five were said: no further than that.
    expect(own!.mean).toBeGreaterThan(0.6)
    expect(own!.mean).toBeLessThan(logit(0.9))
    expect(other!.mean).toBeGreaterThan(0.2)
    expect(other!.mean).toBeLessThan(own!.mean)
    expect(own!.deviation).toBeLessThan(shiftOf(recalibrate([]), 'face', here).deviation)
  })
  it('the mode is where the gradient is nought: worked for a school with one book and one piece', () => {
    const tests = Array.from({ length: 30 }, (_, n) => told(n < 24))
    const { face, root } = recalibrate(tests)
    const total = face.belief.mean.reduce((sum, one) => sum + one, 0)
    // Each part is pulled back by its own prior: m / s² = 24 − 30 p, so that they share as their variances.
    const pull = 24 - 30 * logistic(total)
    const [school, book, piece] = face.belief.mean
    expect(book).toBeCloseTo(pull * 0.15 ** 2, 6)
    expect(piece).toBeCloseTo(pull * 0.2 ** 2, 6)
    // A stage without tests has what all stages have in common; this one has a part of its own, with longer tails.
    expect(root).toMatchObject({ groups: [{ of: 'school' }], tests: 0 })
    const together = root.belief.mean[0]!
    expect(together).toBeCloseTo(pull * 0.22 ** 2, 6)
    expect(school! - together).toBeGreaterThan(pull * 0.2 ** 2)
    expect(school! - together).toBeLessThan(pull * 0.35 ** 2)
  })
  it('a stage without tests is moved by those that have some, further the more of them agree', () => {
    const tests = (bends: boolean) =>
      Array.from({ length: 20 }, (_, n) =>
        told(n % 10 < 7, { bends: bends ? { said: 0.5, passed: n % 10 > 2 } : null }),
      )
    const root = (bends: boolean) => shiftOf(recalibrate(tests(bends)), 'root', there)
    expect(root(false).mean).toBeGreaterThan(0.1)
    expect(root(true).mean).toBeGreaterThan(1.2 * root(false).mean)
    expect(root(true).deviation).toBeLessThan(root(false).deviation)
    // Never as far as the stage that went so.
    expect(root(true).mean).toBeLessThan(shiftOf(recalibrate(tests(true)), 'face', there).mean)
  })
  it('moves the root apart from the face: roots that fail say nothing of caps', () => {
    const recalibration = recalibrate(
      Array.from({ length: 40 }, (_, n) =>
        told(n % 4 !== 0, { face: { said: 0.75, passed: n % 4 !== 0 }, root: { said: 0.8, passed: n % 3 === 0 } }),
      ),
    )
    expect(shiftOf(recalibration, 'root', here).mean).toBeLessThan(-0.6)
    expect(Math.abs(shiftOf(recalibration, 'face', here).mean)).toBeLessThan(0.1)
    expect(straysOfSchool(recalibration)[0]).toMatchObject({ group: { of: 'school' }, stage: 'root' })
  })
  it('moves bends apart from the visual', () => {
    const recalibration = recalibrate(
      Array.from({ length: 30 }, (_, n) =>
        told(true, { face: { said: 0.97, passed: true }, bends: { said: 0.8, passed: n % 2 === 0 } }),
      ),
    )
    expect(shiftOf(recalibration, 'bends', here).mean).toBeLessThan(-0.5)
    expect(Math.abs(shiftOf(recalibration, 'face', here).mean)).toBeLessThan(0.2)
  })
  it('can be read by a person', () => {
    expect(straysOfSchool(recalibrate([]))).toEqual([])
    const strays = straysOfSchool(recalibrate(Array.from({ length: 60 }, (_, n) => told(n % 5 !== 0))))
    expect(strays[0]).toMatchObject({ group: { of: 'school' }, stage: 'face' })
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

describe('what a student is told of the own odds', () => {
  it.each([
    [0.95, 'nearly all of the time', 'A mock test'],
    [0.8, 'nearly all of the time', 'A mock test'],
    [0.79, 'Most of your work', 'Restart: nothing would help more'],
    [0.5, 'Most of your work', 'Restart: nothing would help more'],
    [0.49, 'A good part of your work', 'Restart: nothing would help more'],
    [0.2, 'A good part of your work', 'Restart: nothing would help more'],
    [0.19, 'asks for more than your coupons show yet', 'Restart: nothing would help more'],
    [0, 'asks for more than your coupons show yet', 'Restart: nothing would help more'],
  ])('at %f is what is there and what next', (odds, says, then) => {
    const told = sayToStudent(odds, 40, 'Restart')
    expect(told.says).toContain(says)
    expect(told.then).toContain(then)
    // No verdict: no count of tests, nothing of passing.
    expect(`${told.says} ${told.then}`).not.toMatch(/\d|pass|fail|odds|chance/i)
  })
  it('is what to run where there is too little to say, or nothing stands out', () => {
    expect(sayToStudent(0.9, 5, 'Restart')).toEqual({
      says: 'A few more coupons, and this says how far along you are.',
      then: 'Run what stands under Next coupon.',
    })
    expect(sayToStudent(0.9, 6, 'Restart').says).toContain('nearly all')
    expect(sayToStudent(0.4, 40, null).then).toBe('Run what stands under Next coupon.')
  })
})
