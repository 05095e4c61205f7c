import highsLoader from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { wallAfter } from '../calendar'
import { solverOf } from '../integerProgram/highs'
import type { Solve } from '../integerProgram'
import { seededRandom } from '../statistics'
import { aDay, aPipe, aStudent, aWanted, madeUpDay } from './example'
import { baysOf, eachBooth, type Bay } from './bays'
import { allPlaces } from './bestPlan'
import { planModel } from './planModel'
import {
  bestPlan,
  GAP,
  greedyPlan,
  lengthsToCut,
  minutesWelded,
  movedLines,
  piecesTaken,
  planAnswers,
  takenAgain,
  planConflicts,
  planScore,
  rodsTaken,
  shortOfBest,
  type PlanCase,
  type PlannedCoupon,
} from '.'

let solve: Solve
beforeAll(async () => {
  solve = solverOf(await highsLoader(), { time_limit: 10, mip_rel_gap: 0, mip_abs_gap: GAP })
})

const name = (id: string) => id.toUpperCase()
const clock = (minutes: number) => wallAfter('18:00', minutes)
const saysOf = (wanted: PlanCase, lines: readonly PlannedCoupon[]) =>
  planConflicts(wanted, lines, name, clock).map(conflict => conflict.says)
const line = (studentId: string, rungId: string, booth: number, from: number, more: Partial<PlannedCoupon> = {}) => ({
  studentId,
  rungId,
  nth: 1,
  booth,
  from,
  minutes: 45,
  pinned: false,
  ...more,
})

/** Every plan that can be, by trying all places of each coupon in turn: the best score. */
function bestByTrying(wanted: PlanCase): number {
  const places = allPlaces(wanted, [], eachBooth(wanted))
  const coupons = wanted.students.flatMap(student => student.coupons.map(coupon => ({ student, coupon })))
  const trying = (n: number, lines: readonly PlannedCoupon[]): number => {
    if (n === coupons.length) return planScore(wanted, lines)
    const { student, coupon } = coupons[n]!
    const own = places.filter(
      one => one.studentId === student.id && one.rungId === coupon.rungId && one.nth === coupon.nth,
    )
    return Math.max(
      trying(n + 1, lines),
      ...own
        .filter(one => planConflicts(wanted, [...lines, one], name, clock).length === 0)
        .map(one => trying(n + 1, [...lines, one])),
    )
  }
  return trying(0, [])
}

const anna = aStudent('anna', 1, [aWanted('flat pad', 1), aPipe('pipe 6G', 2)])
const ben = aStudent('ben', 2, [aWanted('flat pad', 1)])
const wanted = aDay([anna, ben], { shown: [{ topic: 'Restarts', from: 60, minutes: 15 }] })

describe('what cannot be', () => {
  it('is nothing where everything goes together', () => {
    expect(
      planConflicts(wanted, [line('anna', 'flat pad', 1, 0), line('ben', 'flat pad', 2, 75)], name, clock),
    ).toEqual([])
  })
  it.each<[string, PlannedCoupon[], string[]]>([
    ['two in a booth', [line('anna', 'flat pad', 1, 0), line('ben', 'flat pad', 1, 0)], ['Booth 1 has two at once']],
    [
      'one in two places',
      [line('anna', 'flat pad', 1, 75), line('anna', 'pipe 6G', 4, 75, { minutes: 90 })],
      ['ANNA is in two places at once'],
    ],
    ['no stand', [line('anna', 'pipe 6G', 1, 75, { minutes: 90 })], ['Booth 1 has no pipe stand']],
    ['a booth that is out', [line('anna', 'flat pad', 9, 0)], ['Booth 9 is not in use']],
    ['a demonstration', [line('ben', 'flat pad', 2, 30)], ['BEN misses “Restarts”']],
    ['no time left', [line('ben', 'flat pad', 2, 150)], ['BEN: no time is left to read it']],
    ['welded to the very end', [line('ben', 'flat pad', 2, 135)], ['BEN: no time is left to read it']],
    ['somebody away', [line('cara', 'flat pad', 2, 0)], ['CARA is not here']],
    ['a rung that is not open', [line('ben', 'pipe 6G', 4, 0)], ['BEN has nothing open on that rung']],
    ['too short', [line('ben', 'flat pad', 2, 0, { minutes: 30 })], ['flat pad takes 40 min']],
    [
      'the same twice',
      [line('ben', 'flat pad', 2, 0), line('ben', 'flat pad', 2, 75)],
      ['BEN has the same coupon twice'],
    ],
  ])('%s', (_, lines, says) => {
    expect(saysOf(wanted, lines)).toEqual(says)
  })
  it('names the lines that it is about', () => {
    const lines = [line('ben', 'flat pad', 2, 75), line('anna', 'flat pad', 2, 90)]
    expect(planConflicts(wanted, lines, name, clock)).toEqual([{ lines: [0, 1], says: 'Booth 2 has two at once' }])
  })

  it('more to read than there is time for, after a demonstration too', () => {
    const many = Array.from({ length: 4 }, (_, n) => aStudent(`s${n}`, n + 1, [aWanted('flat pad', 1)]))
    const busy = aDay(many, { readMinutes: 5, shown: [{ topic: 'Ends', from: 45, minutes: 15 }] })
    const all = many.map((one, n) => line(one.id, 'flat pad', n + 1, 0))
    // Two readings of five minutes in a step, four fifths of which are for reading; nobody reads while Ends is shown.
    expect(saysOf(busy, all)).toEqual(['4 to read at 19:00, and time for 2'])
    expect(saysOf(busy, all.slice(0, 2))).toEqual([])
  })
  it('rods and pieces that do not suffice; a pair needs one piece less', () => {
    const lines = [line('anna', 'flat pad', 1, 0), line('ben', 'flat pad', 2, 0)]
    const short = aDay([anna, ben], { rods: { 'E7018 1/8 in': 9 }, pieces: { pad: 1 } })
    expect(saysOf(short, lines)).toEqual(['E7018 1/8 in: 10 wanted, 9 there', 'pad: 2 wanted, 1 there'])
    const shared = aDay([anna, ben], { pieces: { pad: 1 }, pairs: [['ben', 'anna']] })
    expect(saysOf(shared, lines)).toEqual([])
    expect([...rodsTaken(shared, lines)]).toEqual([['E7018 1/8 in', 10]])
    expect([...piecesTaken(shared, lines)]).toEqual([['pad', 1]])
    expect(lengthsToCut(aDay([anna, ben]), [...lines, line('anna', 'pipe 6G', 4, 60)])).toEqual([
      { piece: 'pad', lengthMm: expect.closeTo(152.4, 6) as number, count: 2, pipe: false },
      { piece: 'pipe butt', lengthMm: expect.closeTo(76.2, 6) as number, count: 2, pipe: true },
    ])
  })
})

describe('coupons that are taken again', () => {
  const lines = [line('anna', 'flat pad', 1, 0), line('ben', 'flat pad', 2, 0), line('anna', 'pipe 6G', 4, 60)]
  it('are pieces beside the new ones, and nothing is cut for them', () => {
    const day = aDay([anna, ben], { pieces: { pad: 1 }, again: { pad: 1 } })
    expect(saysOf(day, lines.slice(0, 2))).toEqual([])
    expect([...takenAgain(day, lines)]).toEqual([['pad', 1]])
    expect(lengthsToCut(day, lines).map(one => [one.piece, one.count])).toEqual([
      ['pad', 1],
      ['pipe butt', 2],
    ])
  })
  it('are taken only as far as there is use for them; a joint spares two lengths', () => {
    const day = aDay([anna, ben], { again: { 'pad': 9, 'pipe butt': 1, 'T': 4 } })
    expect([...takenAgain(day, lines)]).toEqual([
      ['pad', 2],
      ['pipe butt', 1],
    ])
    expect(lengthsToCut(day, lines)).toEqual([])
  })
  it('are not in the way where nobody counted the new ones', () => {
    const [none, some] = [aDay([anna, ben]), aDay([anna, ben], { again: { pad: 1 } })]
    expect(saysOf(some, lines)).toEqual(saysOf(none, lines))
  })
})

describe('a plan', () => {
  it('is as good as the best of all that can be, in small classes', () => {
    for (let seed = 1; seed <= 25; seed++) {
      const random = seededRandom(seed)
      const students = Array.from({ length: 3 }, (_, n) =>
        aStudent(`s${n}`, random.uniform() < 0.3 ? null : n + 1, [
          aWanted('pad', random.uniform() + 0.2),
          random.uniform() < 0.6 ? aPipe('pipe', random.uniform() + 0.5) : aWanted('lap', random.uniform() + 0.2),
        ]),
      )
      const wanted = aDay(students, {
        minutes: 150,
        booths: 3,
        stepMinutes: 30,
        readMinutes: 15,
        pieces: random.uniform() < 0.5 ? { pad: 2 } : {},
        pairs: random.uniform() < 0.5 ? [['s0', 's1']] : [],
        again: seed % 3 === 0 ? { pad: 1 } : {},
        ...(random.uniform() < 0.3 ? { shown: [{ topic: 'Restarts', from: 60, minutes: 30 }] } : {}),
        rods: random.uniform() < 0.5 ? { 'E7018 1/8 in': 11 } : {},
      })
      const best = bestPlan(wanted, [], solve)
      const truth = bestByTrying(wanted)
      expect(best.score).toBeGreaterThan(truth - GAP - 1e-9)
      expect(best.score).toBeLessThanOrEqual(truth + 1e-9)
      expect(best.bound).toBeGreaterThanOrEqual(truth - 1e-9)
      expect(planConflicts(wanted, best.lines, name, clock)).toEqual([])
    }
  })

  it.each([12, 24])('of %i is never worse than one made by hand, and nothing in it cannot be', size => {
    for (const seed of [1, 2]) {
      const wanted = madeUpDay(size, seededRandom(seed))
      const hand = greedyPlan(wanted)
      const best = bestPlan(wanted, [], solve)
      expect(planConflicts(wanted, hand, name, clock)).toEqual([])
      expect(planConflicts(wanted, best.lines, name, clock)).toEqual([])
      expect(best.byHand).toBeCloseTo(planScore(wanted, hand), 9)
      expect(best.score).toBeGreaterThanOrEqual(best.byHand)
      expect(shortOfBest(wanted, best)).toBeLessThan(0.05)
      // Everybody welds.
      expect(new Set(best.lines.map(one => one.studentId)).size).toBe(size)
    }
  })

  it('gives the stand to whom it is worth most, and somebody without a booth one that is free', () => {
    const wanted = aDay(
      [
        aStudent('anna', 1, [aPipe('pipe 6G', 1), aWanted('flat pad', 0.7)]),
        aStudent('ben', null, [aPipe('pipe 6G', 3), aWanted('flat pad', 0.7)]),
      ],
      { minutes: 120 },
    )
    const { lines } = bestPlan(wanted, [], solve)
    expect(lines.find(one => one.rungId === 'pipe 6G')).toMatchObject({ studentId: 'ben', booth: 4, from: 0 })
    expect(lines.find(one => one.studentId === 'anna')).toMatchObject({ rungId: 'flat pad', booth: 1 })
  })

  it('finds another booth for the owner of one that a pipe is welded in', () => {
    // Booth 3 alone has a stand, and it is Cara's; Ben is at pipe for the whole class.
    const pads = [aWanted('flat pad', 1), aWanted('flat pad', 0.7, { nth: 2 })]
    const wanted = aDay(
      [aStudent('anna', 1, pads), aStudent('ben', 2, [aPipe('pipe 6G', 3)]), aStudent('cara', 3, pads)],
      { booths: 3, minutes: 120 },
    )
    for (const lines of [bestPlan(wanted, [], solve).lines, greedyPlan(wanted)]) {
      expect(planConflicts(wanted, lines, name, clock)).toEqual([])
      expect(lines.find(one => one.studentId === 'ben')).toMatchObject({ booth: 3, minutes: 90 })
      expect(Object.fromEntries(minutesWelded(lines))).toEqual({ anna: 90, ben: 90, cara: 90 })
      expect(lines.filter(one => one.studentId === 'cara').map(one => one.booth)).toEqual([2, 2])
    }
  })
  it('gives a fair share of the class to each before one has all of it', () => {
    // Two booths for three: what Ben runs is worth a little more, and six turns are to be had.
    const pads = (worth: number) => [1, 2, 3, 4].map(nth => aWanted('flat pad', worth * 0.9 ** nth, { nth }))
    const wanted = aDay(
      [aStudent('anna', 1, pads(1)), aStudent('ben', 2, pads(1.2)), aStudent('cara', null, pads(1))],
      {
        booths: 2,
        minutes: 150,
      },
    )
    const { lines } = bestPlan(wanted, [], solve)
    expect([...minutesWelded(lines).values()]).toEqual([90, 90, 90])
  })
  it('comes to the same bound with booths alike taken together as with each by itself', () => {
    const wanted = madeUpDay(6, seededRandom(5))
    const of = (bays: readonly Bay[]) => solve(planModel(wanted, allPlaces(wanted, [], bays), bays, [], true))!.value
    const [together, each] = [of(baysOf(wanted)), of(eachBooth(wanted))]
    expect(baysOf(wanted).map(bay => bay.booths)).toEqual([[1, 2, 3, 4], [5]])
    // Together, a move from booth to booth costs nothing: no plan by booths is better than that, and this one as good.
    expect(together).toBeGreaterThan(each - GAP)
    expect(together).toBeLessThan(each + 2 * 0.15 + GAP)
  })

  it('sends nobody from booth to booth without need', () => {
    const coupons = ['a', 'b', 'c'].map(rung => aWanted(rung, 0.7))
    // Anna's booth is free for the last coupon alone: it is sooner there, and worth no second setting up.
    const wanted = aDay([aStudent('ben', null, coupons), aStudent('anna', 1, [aWanted('flat pad', 1)])])
    const { lines } = bestPlan(wanted, [], solve)
    const own = lines.filter(one => one.studentId === 'ben')
    expect([own.length, new Set(own.map(one => one.booth)).size]).toEqual([3, 1])
    const elsewhere = own.map((one, n) => (n === 0 ? { ...one, booth: one.booth === 4 ? 3 : 4 } : one))
    expect(planScore(wanted, own) - planScore(wanted, elsewhere)).toBeCloseTo(0.15, 9)
  })

  it('says nothing where nobody is there, or nothing can be run', () => {
    expect(bestPlan(aDay([]), [], solve)).toEqual({ lines: [], score: 0, byHand: 0, bound: 0 })
    const nowhere = aDay([aStudent('anna', null, [aPipe('pipe 6G', 1)])], { stands: 0 })
    expect(bestPlan(nowhere, [], solve).lines).toEqual([])
    expect(shortOfBest(nowhere, bestPlan(nowhere, [], solve))).toBeNull()
  })
  it('falls back on the plan by hand where the solver has no answer', () => {
    const wanted = madeUpDay(6, seededRandom(3))
    const best = bestPlan(wanted, [], () => null)
    expect(best).toEqual({ lines: greedyPlan(wanted), score: best.byHand, byHand: best.byHand, bound: null })
    // Nor does it say how good a plan may be by a relaxation that was given up half way.
    const givenUp: Solve = () => ({ proved: false, value: 1, of: () => 0 })
    expect(bestPlan(wanted, [], givenUp)).toEqual(best)
    const relaxedOnly: Solve = program => (program.includes('Binary') ? givenUp(program) : solve(program))
    expect(bestPlan(wanted, [], relaxedOnly).bound).toBeGreaterThanOrEqual(bestPlan(wanted, [], solve).score - 1e-6)
  })
})

describe('what is asked of a plan', () => {
  const busy = aDay([anna, ben], {
    minutes: 150,
    shown: [{ topic: 'Restarts', from: 60, minutes: 15 }],
    readMinutes: 6,
  })
  it('is who is how long at work, the least first, and who was passed over', () => {
    const answers = planAnswers(busy, [line('anna', 'flat pad', 1, 0), line('ben', 'flat pad', 2, 75)])
    expect(answers.atWork).toEqual([
      { studentId: 'anna', minutes: 45 },
      { studentId: 'ben', minutes: 45 },
    ])
    expect(answers.openMinutes).toBe(135)
    expect(answers.passedOver).toMatchObject([{ studentId: 'anna', coupon: { rungId: 'pipe 6G' } }])
    expect(planAnswers(busy, []).atWork.map(one => one.minutes)).toEqual([0, 0])
  })
  it('is how many coupons fall to be read when, of those there is time for', () => {
    const lines = [line('anna', 'flat pad', 1, 15), line('ben', 'flat pad', 2, 15)]
    // Both are done when Restarts is shown, and are read after it; two in each of nine steps.
    expect(planAnswers(busy, lines).toRead).toEqual({ count: 2, most: 18, busiest: 5, then: 2 })
    expect(planAnswers(busy, []).toRead).toEqual({ count: 0, most: 18, busiest: 0, then: 0 })
  })
})

describe('planned again', () => {
  const before = () => {
    const wanted = madeUpDay(12, seededRandom(7))
    return { wanted, lines: bestPlan(wanted, [], solve).lines }
  }
  it('moves nobody when one is missing', () => {
    const { wanted, lines } = before()
    const without = { ...wanted, students: wanted.students.filter(student => student.id !== 's4') }
    const again = bestPlan(without, lines, solve)
    expect(again.lines.some(one => one.studentId === 's4')).toBe(false)
    expect(movedLines(without, lines, again.lines)).toBe(0)
    expect(planConflicts(without, again.lines, name, clock)).toEqual([])
  })
  it('moves only who stood in a booth that is out, and counts them', () => {
    const { wanted, lines } = before()
    const without = { ...wanted, booths: wanted.booths.filter(one => one.booth !== 2) }
    const again = bestPlan(without, lines, solve)
    expect(movedLines(without, lines, again.lines)).toBe(lines.filter(one => one.booth === 2).length)
    expect(planConflicts(without, again.lines, name, clock)).toEqual([])
  })
  it('leaves what a person put, even where it is not the own booth', () => {
    const wanted = aDay([aStudent('anna', 1, [aWanted('flat pad', 1)])])
    const put = line('anna', 'flat pad', 3, 60, { pinned: true })
    expect(bestPlan(wanted, [put], solve).lines).toEqual([put])
    expect(greedyPlan(wanted, [put])).toEqual([put])
    // What cannot be is not kept for all that.
    expect(bestPlan(wanted, [{ ...put, booth: 9 }], solve).lines).toMatchObject([{ booth: 1, pinned: false }])
  })
})
