import { describe, expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES } from '../house'
import { climb, FULL_LADDER, rungNamed } from '../ladder'
import {
  logitOf,
  skillFrom,
  standingOf,
  startingCurve,
  withHistory,
  type Tried,
  type SchoolCurves,
  type SkillCell,
  type When,
} from '../progress'
import { logistic, seededRandom } from '../statistics'
import { testPieceOf, testPieces } from '../qualification'
import { inches } from '../units'
import {
  attempt,
  beginOutlook,
  classDayAfter,
  forecastCoupons,
  gainPerHour,
  habitsOf,
  HORIZON,
  proposals,
  sayOdds,
  testPlan,
  USUAL_HABITS,
  whatHelps,
  type Help,
  type NextWanted,
  type OutlookCase,
  type TestHabits,
  type TestPlan,
} from '.'

const rules = DEFAULT_HOUSE_RULES
const ALL_COUNTS: TestHabits = { ...USUAL_HABITS, rejectedTries: 1, groundOut: 0, opens: 1, day: 0 }
const CAP_RESTART: SkillCell = {
  element: 'restart',
  lie: '3G',
  work: 'groove',
  rodFamily: 'low hydrogen',
  otherHand: false,
  otherWay: false,
}

/** A piece that asks for nothing but restarts in its cap. */
const onlyRestarts = (count: number): TestPlan => ({
  ...testPlan(testPieceOf('plate-3g'), rules),
  rootSeen: false,
  tasks: Array.from({ length: count }, (_, n) => ({
    cell: CAP_RESTART,
    pass: 'p1',
    role: 'cap',
    depth: 'cap',
    faceHalf: true,
    fromMm: 10 * n,
    toMm: 10 * n,
  })),
})
const logit = (p: number) => Math.log(p / (1 - p))
const share = (plan: TestPlan, logits: readonly number[], habits: TestHabits, times = 20_000) => {
  const random = seededRandom(11)
  let well = 0
  for (let n = 0; n < times; n++) if (!attempt(plan, logits, habits, random)) well += 1
  return well / times
}

describe('against closed forms', () => {
  it.each([
    [1, 0.9],
    [5, 0.9],
    [12, 0.95],
  ])('%d restarts at %d: the product of their rates', (count, p) => {
    expect(share(onlyRestarts(count), Array<number>(count).fill(logit(p)), ALL_COUNTS)).toBeCloseTo(p ** count, 1.7)
  })
  // Beta(9, 3) after 8 of 10: the next five all sound with 33/112. Source: beta-binomial arithmetic, worked.
  it('a rate drawn from Beta(9, 3) for each welder: 33/112 that five restarts are all sound', () => {
    const random = seededRandom(5)
    const gamma = (shape: number) =>
      Array.from({ length: shape }, () => -Math.log(1 - random.uniform())).reduce((sum, value) => sum + value, 0)
    const plan = onlyRestarts(5)
    let well = 0
    const times = 20_000
    for (let n = 0; n < times; n++) {
      const [a, b] = [gamma(9), gamma(3)]
      if (!attempt(plan, Array<number>(5).fill(logit(a / (a + b))), ALL_COUNTS, random)) well += 1
    }
    expect(well / times).toBeCloseTo(33 / 112, 1.7)
  })
  it('a bead on the cap goes without a flaw as often as a Poisson count is nought', () => {
    const plan = {
      ...onlyRestarts(1),
      tasks: [
        { ...onlyRestarts(1).tasks[0]!, cell: { ...CAP_RESTART, element: 'run' as const }, fromMm: 0, toMm: 400 },
      ],
    }
    expect(share(plan, [logit(0.95)], { ...ALL_COUNTS, rejectedFlaws: 0.5, flawMm: 20 })).toBeCloseTo(
      Math.exp((-0.05 * 0.5 * 400) / 20),
      1.7,
    )
  })
})

describe('what becomes of a flaw', () => {
  const buried = (faceHalf: boolean, atMm: number): TestPlan => ({
    ...onlyRestarts(1),
    tasks: [{ ...onlyRestarts(1).tasks[0]!, depth: 'inside', role: 'fill', faceHalf, fromMm: atMm, toMm: atMm }],
  })
  const bad = [logit(1e-9)]
  it('is ground out, or opens where a strip is cut and stretched, and nowhere else', () => {
    const [face] = buried(true, 0).strips
    const middle = (face!.fromMm + face!.toMm) / 2
    expect(face!.bend).toBe('face')
    expect(share(buried(true, middle), bad, ALL_COUNTS, 50)).toBe(0)
    expect(share(buried(false, middle), bad, ALL_COUNTS, 50)).toBe(1)
    expect(share(buried(true, face!.toMm + 1), bad, ALL_COUNTS, 50)).toBe(1)
    expect(share(buried(true, middle), bad, { ...ALL_COUNTS, groundOut: 1 }, 50)).toBe(1)
    expect(share(buried(true, middle), bad, { ...ALL_COUNTS, groundOut: 0.7 })).toBeCloseTo(0.7, 1.7)
  })
  it('at the root ends it where the root is seen, not on backing', () => {
    const root = { ...buried(false, 0), tasks: [{ ...buried(false, 0).tasks[0]!, depth: 'root' as const }] }
    expect(share({ ...root, rootSeen: true }, bad, ALL_COUNTS, 50)).toBe(0)
    expect(share({ ...root, rootSeen: false, strips: [] }, bad, ALL_COUNTS, 50)).toBe(1)
  })
})

it('a student’s own share of poor tries counts the more, the more of them there are', () => {
  const none = { bent: 0, opened: 0 }
  expect(habitsOf({ tries: 0, poor: 0 }, none)).toEqual(USUAL_HABITS)
  expect(habitsOf({ tries: 10, poor: 10 }, none).rejectedTries).toBeCloseTo((10 + 4) / 20, 12)
  expect(habitsOf({ tries: 1000, poor: 900 }, none).rejectedTries).toBeGreaterThan(0.88)
})
it('a student whose bends opened is more likely to open again, one whose bends held less', () => {
  const opens = (bent: number, opened: number) => habitsOf({ tries: 0, poor: 0 }, { bent, opened }).opens
  expect(opens(10, 0)).toBeCloseTo(USUAL_HABITS.opens / 2, 12)
  expect(opens(4, 1)).toBeCloseTo((USUAL_HABITS.opens * (1 + 1.5)) / 14 / 0.15, 12)
  expect(opens(20, 20)).toBe(0.95)
})

describe('test pieces', () => {
  it.each(testPieces('in').map(piece => piece.id))(
    '%s asks for starts, bead and a cap, in its position, with strips inside it',
    id => {
      const plan = testPlan(testPieceOf(id), rules)
      const elements = new Set(plan.tasks.map(task => task.cell.element))
      expect([elements.has('start'), elements.has('run'), plan.tasks.some(task => task.depth === 'cap')]).toEqual([
        true,
        true,
        true,
      ])
      expect(plan.rootSeen).toBe(elements.has('root'))
      for (const strip of plan.strips) {
        expect(strip.fromMm).toBeGreaterThanOrEqual(0)
        expect(strip.toMm).toBeLessThanOrEqual(plan.seamMm)
      }
    },
  )
  it('a fixed pipe has tie-ins and four strips, a plate two, clear of an inch at either end', () => {
    const pipe = testPlan(testPieceOf('pipe-6-6g'), rules)
    expect([
      pipe.strips.length,
      pipe.tasks.some(task => task.cell.element === 'tie-in'),
      pipe.tasks[0]!.cell.lie,
    ]).toEqual([4, true, 'round the pipe'])
    const plate = testPlan(testPieceOf('plate-3g'), rules)
    expect(plate.strips.map(strip => strip.bend)).toEqual(['face', 'root'])
    expect(Math.min(...plate.strips.map(strip => strip.fromMm))).toBeGreaterThanOrEqual(inches(1))
    expect(plate.strips[1]!.fromMm).toBeGreaterThan(plate.strips[0]!.toMm)
  })
  it('names those there are', () => expect(() => testPieceOf('moon')).toThrow(/there are plate-2g/))
})

const TODAY = 20_300
/** The school's starting curve at a cell, with nothing known of the student. */
const meanLogit = (row: SkillCell & When) => logitOf(skillFrom(startingCurve('restart'), [], TODAY, 60), row, row).mean
const rowsOf = (p: number, coupons: number, seed = 1): Tried[] => {
  const random = seededRandom(seed)
  return Array.from({ length: coupons }, (_, n) =>
    (['start', 'restart', 'run', 'root', 'tie-in', 'ends'] as const).map(element => ({
      ...CAP_RESTART,
      element,
      couponId: `c${n}`,
      day: TODAY - 2 * (coupons - n),
      tried: 6,
      sound: Array.from({ length: 6 }).filter(() => random.chance(p)).length,
      mock: false,
    })),
  ).flat()
}
const CURVES: SchoolCurves = {}
const caseOf = (
  p: number,
  coupons: number,
  plan: TestPlan = testPlan(testPieceOf('plate-3g'), rules),
  seed = 3,
): OutlookCase => ({
  plan,
  candidate: {
    standing: standingOf(CURVES, withHistory(rowsOf(p, coupons, seed)), 60),
    curves: CURVES,
    today: TODAY,
    more: 0,
  },
  habits: USUAL_HABITS,
  seed: 9,
})
const look = (wanted: OutlookCase, attempts = 2000) => {
  const run = beginOutlook(wanted)
  run.run(attempts)
  return run.result()
}

describe('the outlook', () => {
  it('is the same for the same seed, in one go or in steps', () => {
    const steps = beginOutlook(caseOf(0.9, 20))
    for (let n = 0; n < 10; n++) steps.run(200)
    expect(steps.done()).toBe(2000)
    expect(steps.result()).toEqual(look(caseOf(0.9, 20)))
  })
  it('rises with the rate, and with every element’s own', () => {
    const odds = [0.6, 0.8, 0.9, 0.97].map(p => look(caseOf(p, 25)).odds)
    expect(odds).toEqual([...odds].sort((a, b) => a - b))
    expect(odds[3]! - odds[0]!).toBeGreaterThan(0.3)
    const wanted = caseOf(0.85, 25)
    const now = look(wanted).odds
    for (const element of new Set(wanted.plan.tasks.map(task => task.cell.element)))
      expect(look({ ...wanted, spared: { [element]: 0 } }).odds, element).toBeGreaterThanOrEqual(now)
  })
  it('says less surely what rests on fewer coupons', () => {
    const width = (coupons: number) => {
      const { low, high } = look(caseOf(0.85, coupons, onlyRestarts(2)), 6000)
      return high - low
    }
    expect(width(2)).toBeGreaterThan(width(60) + 0.1)
  })
  it('counts what ended the rest: as many as did not go well', () => {
    const { attempts, odds, failures } = look(caseOf(0.7, 20))
    expect(failures.reduce((sum, row) => sum + row.count, 0)).toBe(Math.round(attempts * (1 - odds)))
    expect(failures.every(row => row.twelfth >= 0 && row.twelfth < 12)).toBe(true)
  })
  it('the interval holds the true odds about as often as it says, over students drawn as the model draws them', () => {
    const random = seededRandom(21)
    const plan = onlyRestarts(6)
    const curve = startingCurve('restart')
    let held = 0
    const students = 60
    for (let n = 0; n < students; n++) {
      const level = curve.spread * random.normal()
      const bare = Array.from({ length: 12 }, (_, c) => ({
        ...CAP_RESTART,
        couponId: `c${c}`,
        day: TODAY - 12 + c,
        tried: 1,
        sound: 0,
        mock: false,
      }))
      const rows = withHistory(bare).map(row => ({
        ...row,
        sound: random.chance(logistic(meanLogit(row) + level)) ? 1 : 0,
      }))
      const standing = standingOf({}, rows, 1e6)
      const when = { before: 12, beforeHere: 12, restDays: 0 }
      const truth = logistic(meanLogit({ ...CAP_RESTART, ...when }) + level) ** 6
      const { low, high } = look(
        { plan, candidate: { standing, curves: {}, today: TODAY - 1, more: 0 }, habits: ALL_COUNTS, seed: n },
        3000,
      )
      if (truth >= low && truth <= high) held += 1
    }
    expect(held / students).toBeGreaterThan(0.8)
    expect(held / students).toBeLessThanOrEqual(1)
  })
})

describe('what helps, and when', () => {
  it('puts first the skill that is worst', () => {
    const standing = (weak: string) =>
      standingOf(
        CURVES,
        withHistory(rowsOf(0.95, 25).map(row => (row.element === weak ? { ...row, sound: 2 } : row))),
        60,
      )
    const helps = whatHelps(
      { ...caseOf(0.95, 25), candidate: { ...caseOf(0.95, 25).candidate, standing: standing('restart') } },
      1200,
    )
    expect(helps[0]!.element).toBe('restart')
    expect(helps.every(help => help.gain >= 0)).toBe(true)
  })
  it('the quicker get there before the slower, and a lower target sooner', () => {
    const { early, likely, late, steps } = forecastCoupons(caseOf(0.8, 15), 0.6, 600)
    expect(steps.map(step => step.coupons)).toEqual([...HORIZON])
    expect(steps.at(-1)!.odds).toBeGreaterThan(steps[0]!.odds)
    const at = (coupons: number | null) => coupons ?? Infinity
    expect(at(early)).toBeLessThanOrEqual(at(likely))
    expect(at(likely)).toBeLessThanOrEqual(at(late))
    expect(at(forecastCoupons(caseOf(0.8, 15), 0.3, 600).likely)).toBeLessThanOrEqual(at(likely))
  })
  it('counts class days, not days, to the end of term', () => {
    const table = { weekdays: [1, 3], last: '2026-12-18' }
    expect(classDayAfter(6, 3, table, '2026-10-05')).toBe('2026-10-12')
    expect(classDayAfter(7, 3, table, '2026-10-05')).toBe('2026-10-14')
    // Over the end of summer time, on which a day has 25 hours.
    expect(classDayAfter(18, 3, table, '2026-10-05')).toBe('2026-10-26')
    expect([
      classDayAfter(500, 3, table, '2026-10-05'),
      classDayAfter(1, 3, { ...table, weekdays: [] }, '2026-10-05'),
      classDayAfter(1, 0, table, '2026-10-05'),
    ]).toEqual([null, null, null])
  })
  it('never says more than odds', () =>
    expect([0.01, 0.08, 0.68, 0.93, 0.99].map(sayOdds)).toEqual([
      'fewer than 1 of 20',
      'about 1 of 10',
      'about 7 of 10',
      'about 9 of 10',
      'more than 19 of 20',
    ]))
})

describe('the next coupon', () => {
  const test = testPieceOf('pipe-2-6g')
  const helps: Help[] = [
    { element: 'restart', name: 'Restarts', odds: 0.7, gain: 0.2 },
    { element: 'root', name: 'Root side', odds: 0.55, gain: 0.05 },
    { element: 'run', name: 'Sound run', odds: 0.5, gain: 0 },
  ]
  const signed = FULL_LADDER.rungs
    .filter(rung => !['restart strip', 'pipe 5G', 'pipe 6G'].includes(rung.name))
    .map(rung => ({ rungId: rung.id }))
  const wanted: NextWanted = {
    ladder: FULL_LADDER,
    climb: climb(FULL_LADDER, [], signed, 3),
    helps,
    test,
    lately: [],
    sameDrillDays: 2,
  }
  const names = (more: Partial<NextWanted> = {}) => proposals({ ...wanted, ...more }).map(one => one.rung.name)

  it('is the open rung with the most to gain in an hour, and says so', () => {
    // The root is learned on the pipe itself; restarts in less time on a strip.
    expect(
      names({
        helps: [
          { ...helps[0]!, gain: 0.05 },
          { ...helps[1]!, gain: 0.2 },
        ],
      }),
    ).toEqual(['pipe 5G', 'restart strip'])
    expect(names()).toEqual(['restart strip', 'pipe 5G'])
    const [first] = proposals(wanted)
    expect(first!.why).toBe('Restarts: half as many unsound, and about 20 more of 100 attempts at the 6G would go well')
    expect(gainPerHour(rungNamed(FULL_LADDER, 'pipe 5G')!, helps, test)).toBeGreaterThan(
      gainPerHour(rungNamed(FULL_LADDER, 'flat pad')!, helps, test),
    )
  })
  it('is not the same more than the days allowed running, while there is another', () => {
    const days = (...rungs: string[][]) =>
      rungs.map((run, n) => ({
        classDay: `2026-10-0${n + 1}`,
        rungs: run.map(name => rungNamed(FULL_LADDER, name)!.id),
      }))
    expect(names({ lately: days(['pipe 5G'], ['pipe 5G', 'restart strip']) })).toEqual(['restart strip'])
    expect(names({ lately: days(['restart strip'], ['pipe 5G']) })).toHaveLength(2)
    expect(names({ lately: days(['pipe 5G', 'restart strip'], ['pipe 5G', 'restart strip']) })).toHaveLength(2)
  })
  it('goes by the ladder where no skill moves the odds', () => {
    const beginner = { ...wanted, climb: climb(FULL_LADDER, [], [{ rungId: 'arc-strikes' }], 3), helps: [] }
    expect(proposals(beginner)[0]).toMatchObject({ rung: { name: 'flat pad' }, why: 'Next on the ladder' })
  })
})
