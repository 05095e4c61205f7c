import { dayNumber } from '../core/calendar'
import {
  fitCurves,
  standingOf,
  withHistory,
  wrongOf,
  type SchoolCurves,
  type Tried,
  type Wrong,
} from '../core/progress'
import { shippedBook, testPieceOf } from '../core/qualification'
import {
  beginOutlook,
  outlookCase,
  recalibrate,
  testPlan,
  type Outlook,
  type ReadinessKnown,
  type Recalibration,
  type ToldOutcome,
} from '../core/readiness'
import { fitLogistic, logit, mean, seededRandom } from '../core/statistics'
import { runAs } from '../core/trade'
import { newTest, testOutcome } from '../core/welderTest'
import { growSchool, SCHOOL_RULES, type DemoStudent } from './gannetQuay'
import { triedBy } from './triedBy'
import { takeTest } from './welderTests'
import type { World } from './worlds'

/** Which pieces a student is put to the proof at, by the rung that was begun. */
const PIECES: readonly (readonly [rung: string, piece: string, book: string])[] = [
  ['vertical pad', 'plate-2g', 'structural'],
  ['overhead pad', 'plate-3g', 'structural'],
  ['V with backing 3G', 'plate-4g', 'structural'],
  ['T fillet 3F', 'fillet-3f', 'structural'],
  ['open root 3G', 'open-root-3g', 'ISO'],
  ['pipe 2G', 'pipe-2-2g', 'pressure'],
  ['pipe 5G', 'pipe-2-5g', 'pressure'],
  ['pipe 6G', 'pipe-2-6g', 'pressure'],
]
export const LAST_DAY = '2026-11-22'
export const TEST_DAY = '2026-11-23'
const NOBODY = '00000000-0000-7000-8000-000000000001'

/** The pieces that a student has come to, with the book of each, in the order of the ladder. */
export const piecesFor = ({ coupons }: DemoStudent): { readonly piece: string; readonly bookId: string }[] =>
  PIECES.filter(([rung]) => coupons.some(({ document }) => document.ticket.rung === rung)).map(([, piece, bookId]) => ({
    piece,
    bookId,
  }))

/** A student at a test piece: what was said before and after the school had tests, and what really comes of it. */
export interface ReadinessPair {
  readonly piece: string
  readonly before: Outlook
  /** For each time that the school recorded tests, by itself: which forty they were is luck. */
  readonly after: readonly Outlook[]
  /** Share of the tests taken that passed. */
  readonly truth: number
}

export interface ReadinessTrial {
  readonly world: World
  readonly seed: number
  /** Students of the school that take part; all when it is left out. */
  readonly students?: number
  /** Tests that each pair takes, and attempts that its odds rest on. */
  readonly tests: number
  readonly attempts: number
  /** Tests that the school records before it is asked again, and how often it is begun anew with others. */
  readonly recorded: number
  readonly times: number
}

/** What came of one test: nothing rejected on the face, nothing at the root, and all of it passed. */
interface TakenOnce {
  readonly face: boolean
  readonly root: boolean
  readonly passed: boolean
}

interface Taken {
  readonly each: readonly TakenOnce[]
  /** Share of them that passed. */
  readonly passed: number
}

/** Goes through a school: what is said of its students’ tests, and what comes of them. One seed, one answer. */
export function tryReadiness(trial: ReadinessTrial): ReadinessPair[] {
  const { world, seed, students, tests, attempts, recorded, times } = trial
  const school = growSchool(seed, LAST_DAY, world.practice)
    .flatMap(section => section.students)
    .slice(0, students)
  const known = whatIsKnown(school)
  const pairs = school.flatMap((student, n) =>
    piecesFor(student).map((of, m) => ({ student, known: known[n]!, ...of, seed: 1000 * n + 10 * m + seed })),
  )
  const say = (pair: (typeof pairs)[number], recalibration: Recalibration) => {
    const plan = testPlan(testPieceOf(pair.piece), SCHOOL_RULES, shippedBook(pair.bookId))
    const { school: rest } = pair.known
    const run = beginOutlook(
      outlookCase({ ...pair.known, school: { ...rest, recalibration } }, plan, dayNumber(TEST_DAY), 1),
    )
    run.run(attempts)
    return run.result()
  }
  const before = pairs.map(pair => say(pair, recalibrate([])))
  const taken = pairs.map(pair => take(world, pair, tests))
  const random = seededRandom(seed)
  const record = (): ToldOutcome => {
    const n = Math.floor(random.uniform() * pairs.length)
    const { face, root, passed } = random.pick(taken[n]!.each)
    const { byCoupons } = before[n]!
    return {
      bookId: pairs[n]!.bookId,
      pieceName: testPieceOf(pairs[n]!.piece).name,
      face: { said: byCoupons.face, passed: face },
      root: byCoupons.root < 1 ? { said: byCoupons.root, passed: root } : null,
      bends: face && root ? { said: byCoupons.bends, passed } : null,
    }
  }
  const recalibrations = Array.from({ length: times }, () => recalibrate(Array.from({ length: recorded }, record)))
  return pairs.map((pair, n) => ({
    piece: pair.piece,
    before: before[n]!,
    after: recalibrations.map(recalibration => say(pair, recalibration)),
    truth: taken[n]!.passed,
  }))
}

/** What a school has learnt from the coupons of all its students. */
export interface SchoolLearnt {
  readonly curves: SchoolCurves
  readonly wrong: Wrong
}

/** What the school knows of each of its students, before it has a test. */
export function whatIsKnown(school: readonly DemoStudent[]): ReadinessKnown[] {
  const tried = school.map(triedBy)
  const learnt = { curves: fitCurves(tried.map(withHistory)), wrong: wrongOf(tried.flat()) }
  return tried.map(own => knownBy(own, learnt))
}

/** What a school knows of one student, before it has a test. */
export const knownOf = (student: DemoStudent, learnt: SchoolLearnt): ReadinessKnown => knownBy(triedBy(student), learnt)

function knownBy(tried: readonly Tried[], { curves, wrong }: SchoolLearnt): ReadinessKnown {
  const none = { bent: 0, opened: 0 }
  return {
    standing: standingOf(curves, withHistory(tried), SCHOOL_RULES.halfLifeDays),
    curves,
    bends: none,
    school: { wrong, bends: none, recalibration: recalibrate([]), before: [] },
  }
}

interface TestedPair {
  readonly student: DemoStudent
  readonly piece: string
  readonly bookId: string
  readonly seed: number
}

/**
 * Takes a test a number of times over, and bends what passed by eye.
 * @param more coupons that are run in its position first
 */
export function take({ test }: World, { student, piece, bookId, seed }: TestedPair, times: number, more = 0): Taken {
  const book = shippedBook(bookId)
  const made = testPieceOf(piece)
  const practised = (student.practised.get(runAs(made.position)) ?? 0) + more
  const welder = { studentId: NOBODY, classDay: TEST_DAY, rulesVersion: 2, hand: student.hand, booth: student.booth }
  const each: TakenOnce[] = []
  for (let n = 0; n < times; n++) {
    const planned = newTest(
      {
        book: { id: bookId, version: 0 },
        couponId: NOBODY,
        said: null,
        retest: null,
        limitMinutes: null,
        piece: made,
        welder: { ...welder, classDay: dayAfter(n) },
      },
      SCHOOL_RULES,
    )
    const random = seededRandom(7919 * seed + n)
    const { document } = takeTest(planned, book, { learner: student.learner, practised }, random, 'result', test)
    const failedOn = document.visual!.failedOn ?? []
    each.push({
      face: !failedOn.includes('face'),
      root: !failedOn.includes('root'),
      passed: testOutcome(document, book).state === 'passed',
    })
  }
  return { each, passed: mean(each.map(one => (one.passed ? 1 : 0))) }
}

/** Each test is on a day of its own: a bad day is not the same bad day thirty times. */
const dayAfter = (n: number) => `2026-12-${String((n % 28) + 1).padStart(2, '0')}`

/** How well what was said came true. */
export interface ReadinessScore {
  readonly pairs: number
  readonly said: number
  readonly truth: number
  readonly brier: number
  readonly brierOfAverage: number
  readonly brierOfTruth: number
  /** How far the Brier score is on the way from the average's to that of knowing each true chance. */
  readonly way: number
  readonly slope: number
  /** Share of pairs whose truth lies in the 90 % interval. */
  readonly held: number
  /** The furthest that what was said of a piece is from what came of it. */
  readonly worstPiece: number
}

const held = (odds: number) => Math.min(0.99, Math.max(0.01, odds))

export function scoreOf(pairs: readonly ReadinessPair[], when: 'before' | 'after', tests: number): ReadinessScore {
  const said = pairs.flatMap(({ piece, truth, before, after }) =>
    (when === 'before' ? [before] : after).map(outlook => ({ piece, truth, ...outlook })),
  )
  type Said = (typeof said)[number]
  const brierOf = (odds: (one: Said) => number) =>
    mean(said.map(one => one.truth * (1 - odds(one)) ** 2 + (1 - one.truth) * odds(one) ** 2))
  const truth = mean(said.map(one => one.truth))
  const [brier, brierOfAverage, brierOfTruth] = [
    brierOf(one => one.odds),
    brierOf(() => truth),
    // A share of a number of tests strays from the true chance: by it alone, knowing would look better than it can be.
    (brierOf(one => one.truth) * tests) / (tests - 1),
  ]
  const fit = fitLogistic(
    said.map(one => ({ x: [1, logit(held(one.odds))], tried: tests, sound: tests * one.truth })),
    [
      { mean: 0, deviation: 10 },
      { mean: 1, deviation: 10 },
    ],
  )
  const pieces = [...new Set(said.map(one => one.piece))].map(piece => said.filter(one => one.piece === piece))
  return {
    pairs: pairs.length,
    said: mean(said.map(one => one.odds)),
    truth,
    brier,
    brierOfAverage,
    brierOfTruth,
    way: (brierOfAverage - brier) / (brierOfAverage - brierOfTruth),
    slope: fit.mean[1]!,
    held: mean(said.map(one => (one.truth >= one.low && one.truth <= one.high ? 1 : 0))),
    worstPiece: Math.max(
      ...pieces.map(own => Math.abs(mean(own.map(one => one.odds)) - mean(own.map(one => one.truth)))),
    ),
  }
}
