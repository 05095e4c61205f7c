import { isFlaw, isTry, setDegree, type CouponDocument, type FlawMark, type Mark } from '../core/coupon'
import { unitFor } from '../core/qualification'
import { errorAfter, KNACKS, weldCoupon, type Knack, type Learner } from '../core/simulate'
import { seededRandom, type Random } from '../core/statistics'
import type { Weld } from './gannetQuay'
import type { BendCase, TestHands } from './welderTests'

/**
 * A world that odds are put to the proof in: how students learn and weld, how instructors read what they practise, and
 * how a test is welded and bent. Nothing of it is what the model of readiness believes.
 */
export interface World {
  readonly name: string
  readonly practice: Weld
  /** Left out where tests go as in the made-up school. */
  readonly test?: TestHands
}

/** A student whose error is the same at every coupon, without learning: for laws of learning of one's own. */
const frozen = (learner: Learner, error: (knack: Knack) => number): Learner => {
  const levels = Object.fromEntries(KNACKS.map(knack => [knack, error(knack)])) as Record<Knack, number>
  return { ...learner, start: levels, floor: levels }
}

/** A number of a learner's own, the same whenever it is asked. */
const ownSeed = ({ start, rate }: Learner, salt: string) =>
  Math.floor((start.strike * 7919 + rate * 104_729) * 1000) +
  [...salt].reduce((sum, letter) => sum + letter.charCodeAt(0), 0)

/** Nothing is learned for a while, then something clicks: two steps down, each skill in its own time. */
function bySteps(learner: Learner, coupons: number): Learner {
  return frozen(learner, knack => {
    const random = seededRandom(ownSeed(learner, knack))
    const [first, second] = [2 + 6 * random.uniform(), 9 + 9 * random.uniform()]
    const { start, floor } = learner
    return coupons < first ? start[knack] : coupons < second ? (start[knack] + floor[knack]) / 2 : floor[knack] * 1.4
  })
}

/** A day that goes well or badly, in everything at once. */
function onDay(learner: Learner, coupons: number, classDay: string, spread: number): Learner {
  const day = Math.exp(spread * seededRandom(ownSeed(learner, classDay)).normal())
  return frozen(learner, knack => Math.min(1.5, day * errorAfter(learner, knack, coupons, 1)))
}

const changeFlaws = (document: CouponDocument, change: (mark: FlawMark) => FlawMark | null): CouponDocument => ({
  ...document,
  marks: document.marks.flatMap((mark): Mark[] => {
    if (!isFlaw(mark)) return [mark]
    const changed = change(mark)
    return changed ? [changed] : []
  }),
})

/** Flaws of other sizes: most of them smaller, a few far larger. */
const resized = (document: CouponDocument, random: Random): CouponDocument =>
  changeFlaws(document, mark =>
    mark.sizeMm === null ? mark : { ...mark, sizeMm: mark.sizeMm * Math.exp(-0.3 + 0.7 * random.normal()) },
  )

/** An instructor who marks most of what is there, and lets a poor try pass as workable now and then. */
function mildly(document: CouponDocument, random: Random): CouponDocument {
  const seen = changeFlaws(document, mark => (random.chance(0.8) ? mark : null))
  return {
    ...seen,
    marks: seen.marks.map(mark =>
      isTry(mark) && mark.degree === 'poor' && random.chance(0.3) ? setDegree(mark, 2) : mark,
    ),
  }
}

/** Bends open where something is buried: any slag or fusion that a strip was cut through, half the time too far. */
function byWhatIsBuried({ test, book, coupon, specimen }: BendCase, random: Random): ReturnType<TestHands['bend']> {
  const buried = coupon.marks
    .filter(isFlaw)
    .filter(mark => ['slag', 'incomplete fusion', 'porosity'].includes(mark.flaw))
    .filter(mark => mark.toMm >= specimen.fromMm && mark.atMm <= specimen.toMm)
  const opened = buried.some(() => random.chance(0.35))
  const length = unitFor(book, test.test) === 'in' ? 3 / 16 : 4
  return {
    openings: opened
      ? [
          {
            length,
            atMm: (specimen.toMm - specimen.fromMm) / 2,
            corner: false,
            kind: 'slag',
            depth: specimen.kind === 'side' ? 0.5 : null,
          },
        ]
      : [],
    byHand: null,
    note: '',
  }
}

const steps: Weld = (expected, learner, coupons, random, rules) =>
  weldCoupon(expected, bySteps(learner, coupons), 0, random, rules)
const badDays: Weld = (expected, learner, coupons, random, rules) =>
  weldCoupon(expected, onDay(learner, coupons, expected.classDay, 0.35), 0, random, rules)

/** Tests are welded with an examiner watching: every error is a quarter more than at practice. */
const watched: Weld = (expected, learner, coupons, random, rules) =>
  weldCoupon(
    expected,
    frozen(learner, knack => 1.25 * errorAfter(learner, knack, coupons, 1)),
    0,
    random,
    rules,
  )

export const WORLDS: readonly World[] = [
  { name: 'the made-up school', practice: weldCoupon },
  {
    name: 'learning by steps, flaws of other sizes, bends that open at what is buried',
    practice: (expected, learner, coupons, random, rules) =>
      resized(steps(expected, learner, coupons, random, rules), random),
    test: {
      weld: (expected, learner, coupons, random, rules) =>
        resized(steps(expected, learner, coupons, random, rules), random),
      bend: byWhatIsBuried,
    },
  },
  {
    name: 'bad days, and instructors who mark most of what is there',
    practice: (expected, learner, coupons, random, rules) =>
      mildly(badDays(expected, learner, coupons, random, rules), random),
    test: { weld: badDays, bend: byWhatIsBuried },
  },
  {
    name: 'tests that are harder than coupons',
    practice: weldCoupon,
    test: { weld: watched, bend: byWhatIsBuried },
  },
]
