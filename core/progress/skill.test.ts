import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { drawCohort, type CohortPlan } from '../simulate'
import { seededRandom, chanceAbove, cholesky, fitLogistic, logistic } from '../statistics'
import {
  alike,
  drawSkill,
  features,
  fitSchoolCurve,
  isOtherWay,
  lieOf,
  logitOf,
  predictNext,
  score,
  skillFrom,
  skillRate,
  SKILL_OFFSETS,
  startingCurve,
  withHistory,
  type Trial,
  type Tried,
  type SkillCell,
} from '.'

const FLAT: SkillCell = {
  element: 'restart',
  lie: '1G',
  work: 'plate',
  rodFamily: 'low hydrogen',
  otherHand: false,
  otherWay: false,
}
const TODAY = 20_400
const row = (sound: number, tried: number, more: Partial<Tried> = {}): Tried => ({
  ...FLAT,
  couponId: `c${sound}${tried}${more.day ?? 0}${more.lie ?? ''}`,
  day: TODAY,
  tried,
  sound,
  mock: false,
  ...more,
})
const history = (...rows: Tried[]): Trial[] => withHistory(rows)
const CURVE = startingCurve('restart')
const now = { before: 10, beforeHere: 10, restDays: 0 }

// Source: arithmetic of the beta posterior, worked: Beta(9, 3) after 8 of 10.
describe('how sure the tries make us', () => {
  it('8 of 10 above 0.8', () => expect(chanceAbove(0.8, 8, 10)).toBeCloseTo(0.382598, 6))
  it('none tried: the flat prior', () => expect(chanceAbove(0.7, 0, 0)).toBeCloseTo(0.3, 12))
})

describe('the fit', () => {
  it('of one coefficient with next to no prior is the logit of the rate', () => {
    const { mean, covariance } = fitLogistic([{ x: [1], tried: 10, sound: 8 }], [{ mean: 0, deviation: 1e4 }])
    expect(mean[0]).toBeCloseTo(Math.log(4), 6)
    expect(covariance[0]![0]).toBeCloseTo(1 / (10 * 0.8 * 0.2), 5)
  })
  it('finds the odds ratio of a two by two table', () => {
    const wide = { mean: 0, deviation: 1e4 }
    const { mean } = fitLogistic(
      [
        { x: [1, 0], tried: 50, sound: 20 },
        { x: [1, 1], tried: 60, sound: 45 },
      ],
      [wide, wide],
    )
    expect(mean[1]).toBeCloseTo(Math.log(45 / 15 / (20 / 30)), 5)
  })
  it('without rows is the prior', () =>
    expect(fitLogistic([], [{ mean: 1, deviation: 2 }])).toEqual({ mean: [1], covariance: [[4]] }))
  it('stands at the top whatever it is asked: wide and narrow priors, values of any size, tries that tell all', () => {
    const random = seededRandom(44)
    for (let n = 0; n < 300; n++) {
      const size = 1 + Math.floor(4 * random.uniform())
      const reach = 10 ** (3 * random.uniform() - 1)
      const truth = Array.from({ length: size }, () => 3 * random.normal())
      const rows = Array.from({ length: 1 + Math.floor(30 * random.uniform()) }, () => {
        const x = Array.from({ length: size }, () => reach * random.normal())
        const tried = 1 + Math.floor(200 * random.uniform())
        const up = x.reduce((sum, value, i) => sum + value * truth[i]!, 0) > 0
        return { x, tried, sound: random.chance(0.5) ? (up ? tried : 0) : Math.floor(tried * random.uniform()) }
      })
      const prior = truth.map(() => ({ mean: 2 * random.normal(), deviation: 10 ** (3 * random.uniform() - 1) }))
      const { mean } = fitLogistic(rows, prior)
      // At the top all slopes are nought: what pulls one way pulls as hard the other.
      mean.forEach((value, i) => {
        const pulls = rows.map(({ x, tried, sound }) => {
          const logit = x.reduce((sum, one, j) => sum + one * mean[j]!, 0)
          return x[i]! * (sound - tried * logistic(logit))
        })
        pulls.push((prior[i]!.mean - value) / prior[i]!.deviation ** 2)
        const all = pulls.reduce((sum, pull) => sum + Math.abs(pull), 0)
        expect(Math.abs(pulls.reduce((sum, pull) => sum + pull, 0))).toBeLessThan(1e-5 * (1 + all))
      })
    }
  })
  it('says when a row does not fit', () =>
    expect(() => fitLogistic([{ x: [1, 2], tried: 1, sound: 1 }], [{ mean: 0, deviation: 1 }])).toThrow(
      /Every row has 1/,
    ))
  it('a Cholesky factor gives its matrix back', () => {
    expect(
      cholesky([
        [4, 2],
        [2, 5],
      ]),
    ).toEqual([
      [2, 0],
      [1, 2],
    ])
    expect(() =>
      cholesky([
        [1, 2],
        [2, 1],
      ]),
    ).toThrow(/not positive/)
  })
})

describe('practice', () => {
  it('counts what went before, here and in all, and the days of rest', () => {
    const rows = history(
      row(1, 2, { couponId: 'a', day: 1 }),
      row(1, 2, { couponId: 'a', day: 1, element: 'start' }),
      row(2, 2, { couponId: 'b', day: 8, lie: '3G' }),
      row(2, 2, { couponId: 'c', day: 29 }),
    )
    expect(rows.map(({ before, beforeHere, restDays }) => [before, beforeHere, restDays])).toEqual([
      [0, 0, 0],
      [0, 0, 0],
      [1, 0, 7],
      [2, 1, 21],
    ])
  })
  it('knows lies and ways', () => {
    expect([lieOf('2F'), lieOf('6G'), lieOf('4G')]).toEqual(['2G', 'round the pipe', '4G'])
    expect([
      isOtherWay('right to left', 'left to right', 'right'),
      isOtherWay('right to left', 'left to right', 'left'),
      isOtherWay('down', 'up', 'right'),
    ]).toEqual([true, false, true])
  })
  it('counts tries of one coupon as fewer, the more there are', () => {
    expect(alike(1)).toBe(1)
    expect(5 * alike(5)).toBeCloseTo(3.5714, 4)
  })
})

describe('skill', () => {
  it('leans on the school where nothing is known, and says how little that is', () => {
    const nothing = skillRate(skillFrom(CURVE, [], TODAY, 60), FLAT, now)
    const much = skillRate(
      skillFrom(CURVE, history(...Array.from({ length: 20 }, (_, n) => row(4, 5, { couponId: `c${n}` }))), TODAY, 60),
      FLAT,
      { ...now, before: 20, beforeHere: 20 },
    )
    expect(nothing.high - nothing.low).toBeGreaterThan(2 * (much.high - much.low))
    expect(much.rate).toBeGreaterThan(0.7)
    expect(much.rate).toBeLessThan(0.87)
  })
  it('of one lie says something of another, but less', () => {
    const good = skillFrom(
      CURVE,
      history(...Array.from({ length: 12 }, (_, n) => row(5, 5, { couponId: `c${n}` }))),
      TODAY,
      60,
    )
    const lift = (lie: SkillCell['lie']) =>
      logitOf(good, { ...FLAT, lie }, now).mean - logitOf(skillFrom(CURVE, [], TODAY, 60), { ...FLAT, lie }, now).mean
    expect(lift('3G')).toBeGreaterThan(0.2)
    expect(lift('1G')).toBeGreaterThan(lift('3G') + 0.1)
  })
  it('recent work counts more, by the half-life; a mock test counts double', () => {
    const old = (day: number) =>
      skillRate(
        skillFrom(
          CURVE,
          history(row(0, 8, { day: TODAY - 120, couponId: 'x' }), row(8, 8, { day, couponId: 'y' })),
          TODAY,
          60,
        ),
        FLAT,
        now,
      ).rate
    expect(old(TODAY)).toBeGreaterThan(old(TODAY - 110))
    const mock = (one: boolean) =>
      skillRate(skillFrom(CURVE, history(row(5, 5, { mock: one, couponId: 'x' })), TODAY, 60), FLAT, now).rate
    expect(mock(true)).toBeGreaterThan(mock(false))
  })
  it('a sound try more never lowers the rate', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 6 }), fc.integer({ min: 1, max: 12 }), (sound, coupons) => {
        const of = (n: number) =>
          skillRate(
            skillFrom(
              CURVE,
              history(...Array.from({ length: coupons }, (_, i) => row(n, 7, { couponId: `c${i}` }))),
              TODAY,
              60,
            ),
            FLAT,
            now,
          ).rate
        expect(of(sound + 1)).toBeGreaterThan(of(sound))
      }),
      { numRuns: 20 },
    )
  })
  it('long rest and the other hand cost, as the school’s curve begins', () => {
    const fresh = skillFrom(CURVE, [], TODAY, 60)
    expect(skillRate(fresh, FLAT, { ...now, restDays: 40 }).rate).toBeLessThan(skillRate(fresh, FLAT, now).rate)
    expect(skillRate(fresh, { ...FLAT, otherHand: true }, now).rate).toBeLessThan(skillRate(fresh, FLAT, now).rate)
    expect(features(FLAT, { ...now, restDays: 7 }).at(-1)).toBe(0)
  })
  it('draws students as the belief says: mean and spread of the logit', () => {
    const skill = skillFrom(CURVE, history(row(3, 5)), TODAY, 60)
    const random = seededRandom(3)
    const logits = Array.from({ length: 4000 }, () =>
      drawSkill(
        skill,
        Array.from({ length: SKILL_OFFSETS }, () => random.normal()),
      )(FLAT, now),
    )
    const mean = logits.reduce((sum, value) => sum + value, 0) / logits.length
    const deviation = Math.sqrt(logits.reduce((sum, value) => sum + (value - mean) ** 2, 0) / logits.length)
    const said = logitOf(skill, FLAT, now)
    expect(mean).toBeCloseTo(said.mean, 1)
    expect(deviation).toBeCloseTo(said.deviation, 1)
    expect(logistic(0)).toBe(0.5)
  })
})

describe('prediction of the next coupon', () => {
  const plan = (law: CohortPlan['law'], breakDays: number): CohortPlan => ({
    students: 24,
    coupons: 50,
    law,
    breakDays,
  })
  it.each([
    ['power', 0, 11],
    ['power', 35, 12],
    ['steps', 0, 13],
    ['steps', 35, 14],
  ] as const)(
    '%s learners, a break of %d days: better than every simple average, and calibrated',
    (law, breakDays, seed) => {
      const scores = predictNext(
        drawCohort(plan(law, breakDays), seededRandom(seed)),
        drawCohort(plan(law, breakDays), seededRandom(seed + 500)),
        60,
      )
      for (const other of ['last ten', 'cohort', 'cumulative'] as const)
        expect(scores.skill.brier, other).toBeLessThan(scores[other].brier - 0.003)
      expect(scores.skill.slope).toBeGreaterThan(0.9)
      expect(scores.skill.slope).toBeLessThan(1.1)
    },
  )
  it('scores by hand: certain and right, certain and wrong, and a coin', () => {
    expect(
      score([
        { p: 0.9, tried: 1, sound: 1 },
        { p: 0.9, tried: 1, sound: 0 },
      ]).brier,
    ).toBeCloseTo((0.01 + 0.81) / 2, 12)
    expect(
      score([
        { p: 0.5, tried: 4, sound: 2 },
        { p: 0.6, tried: 5, sound: 3 },
      ]).brier,
    ).toBeCloseTo((4 * 0.25 + 5 * 0.24) / 9, 12)
  })
  it('a school’s curve shows what practice does, and knows how far its students differ', () => {
    const curve = fitSchoolCurve('restart', drawCohort(plan('power', 0), seededRandom(5)).map(withHistory))
    const at = (before: number) =>
      skillRate(skillFrom(curve, [], TODAY, 60), FLAT, { before, beforeHere: before, restDays: 0 }).rate
    expect(at(12)).toBeGreaterThan(at(0) + 0.1)
    expect(curve.coupons).toBe(24 * 50)
    expect(curve.spread).toBeGreaterThan(0.2)
    expect(fitSchoolCurve('start', []).coupons).toBe(0)
  })
  it('one student who is good and one who is not are far apart; two who are alike are not', () => {
    const thirty = (sound: number, who: string) =>
      history(...Array.from({ length: 30 }, (_, n) => row(sound, 10, { couponId: `${who}${n}`, day: TODAY + n })))
    const apart = fitSchoolCurve('restart', [thirty(9, 'a'), thirty(1, 'b')]).spread
    const alike = fitSchoolCurve('restart', [thirty(5, 'a'), thirty(5, 'b')]).spread
    expect(apart).toBeGreaterThan(1)
    expect(alike).toBeLessThan(0.45)
  })
})
