import { setForVisual } from '../core/criteria'
import type { CouponDocument } from '../core/coupon'
import { unitFor, type CodeBook } from '../core/qualification'
import {
  isBend,
  nextStep,
  specimensOf,
  takeStep,
  testCoupon,
  testStanding,
  visualOf,
  visualSigned,
  type Opening,
  type Signature,
  type Specimen,
  type SpecimenResult,
  type Visual,
  type WelderTest,
} from '../core/welderTest'
import { DIFFICULTY, errorAfter, weldCoupon, type Learner } from '../core/simulate'
import type { Random } from '../core/statistics'
import { SCHOOL_RULES, type Weld } from './gannetQuay'

/** How far a made-up test has come. */
export type TakenTo = 'welded' | 'seen' | 'result'

/** A test as it was taken, with its coupon as it was read. */
export interface DemoTest {
  readonly document: WelderTest
  readonly coupon: CouponDocument
  readonly savedAt: Date
}

const WITNESS = 'TK'
/** Minutes between two steps at a test. */
const BETWEEN = 4
const AFTER_OPENING = 5
const wall = (moment: string) => moment.slice(11, 16)

/** Whose hand takes a test, how much it has practised as the piece lies, and when its classes open, on the wall. */
export interface TestedHand {
  readonly learner: Learner
  readonly practised: number
  readonly opensAt?: string
}

/** Welds, reads, cuts and bends a planned test as a learner would, a class long. */
export function takeTest(
  planned: WelderTest,
  book: CodeBook,
  { learner, practised, opensAt = '18:00' }: TestedHand,
  random: Random,
  to: TakenTo = 'result',
  { weld, bend }: TestHands = MADE_UP,
): DemoTest {
  let minute = AFTER_OPENING
  const at = () =>
    new Date(
      Date.parse(`${planned.testDay}T${opensAt}:00.000Z`) +
        60_000 * (minute += BETWEEN + Math.floor(3 * random.uniform())),
    ).toISOString()
  const seen = (): Signature => ({ by: WITNESS, at: at() })
  let now: WelderTest = { ...planned, stamp: `G${100 + Math.floor(900 * random.uniform())}` }
  for (let step = nextStep(now, book, true); step.is !== 'visual'; step = nextStep(now, book, true))
    now = takeStep(now, step, seen())
  const coupon = weld(testCoupon(now, SCHOOL_RULES, wall), learner, practised, random, SCHOOL_RULES)
  if (to !== 'welded') now = { ...now, visual: signedVisual(coupon, now, book, seen()) }
  if (to === 'result' && now.visual!.outcome === 'passes')
    for (const specimen of specimensOf(now, book)) {
      now = {
        ...now,
        results: {
          ...now.results,
          [specimen.id]: {
            ...(isBend(specimen.kind)
              ? bend({ test: now, book, coupon, specimen, error: errorOf(learner, practised, now) }, random)
              : byHand(random)),
            ...seen(),
          },
        },
      }
      if (testStanding(now, book).state === 'failed') break
    }
  return { document: now, coupon, savedAt: new Date(at()) }
}

function signedVisual(coupon: CouponDocument, { test }: WelderTest, book: CodeBook, seen: Signature): Visual {
  const said = visualOf(coupon, setForVisual(book.criteriaId, [])!, unitFor(book, test))
  return visualSigned({ ...seen, outcome: said.computed, why: '' }, said)
}

const errorOf = (learner: Learner, practised: number, { test }: WelderTest) =>
  errorAfter(learner, 'cleaning', practised, DIFFICULTY[test.position])

/** What comes of a bend, before anybody has signed it. */
type Bent = Pick<SpecimenResult, 'openings' | 'byHand' | 'note'>

/** A strip that is bent: of which test, welded how. */
export interface BendCase {
  readonly test: WelderTest
  readonly book: CodeBook
  readonly coupon: CouponDocument
  readonly specimen: Specimen
  /** How much this hand leaves uncleaned, 0 to about 1.5. */
  readonly error: number
}

/** How a test is welded and what its bends show; other worlds have others. */
export interface TestHands {
  readonly weld: Weld
  readonly bend: (bend: BendCase, random: Random) => Bent
}

/** A bend of the made-up school: now and then something opens, the oftener the less was cleaned; seldom too far. */
function bent({ test, book, specimen, error }: BendCase, random: Random): Bent {
  const unit = unitFor(book, test.test)
  const openings: Opening[] = random.chance(0.8 * error)
    ? [
        {
          length: unit === 'in' ? random.pick([1 / 32, 1 / 16, 3 / 32, 5 / 32, 3 / 16]) : random.pick([1, 1.5, 4, 5]),
          atMm: Math.round((specimen.toMm - specimen.fromMm) * random.uniform() * 10) / 10,
          corner: random.chance(0.2),
          kind: random.pick(['slag', 'slag', 'lack of fusion', 'porosity']),
          depth: specimen.kind === 'side' ? Math.round(100 * random.uniform()) / 100 : null,
        },
      ]
    : []
  return { openings, byHand: null, note: '' }
}

const MADE_UP: TestHands = { weld: weldCoupon, bend: bent }

const byHand = (random: Random): Pick<SpecimenResult, 'openings' | 'byHand' | 'note'> => ({
  openings: [],
  byHand: random.chance(0.9) ? 'passes' : 'fails',
  note: 'broken at the notch, looked at under a glass',
})
