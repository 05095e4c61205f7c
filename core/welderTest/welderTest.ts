import { newCoupon, seamLength, type CouponDocument, type Pass, type Piece, type Ticket } from '../coupon'
import type { HouseRules } from '../house'
import type { FitUp } from '../setup'
import { MM_PER_INCH } from '../units'
import type { Opening } from './bendVerdict'
import type { CodeBook } from '../qualification/codeBook'
import { withBendMarks } from './openingOrigin'
import { specimenPlan, type ExaminedBy, type Specimen } from './specimens'
import { couponOf, type TestWelder } from './testCoupon'
import { takenWith, type TestPiece } from '../qualification/testPieces'
import { unitFor, type TestTaken } from '../qualification/testTaken'

/** What is looked at before the arc is struck, under test terms. */
export const CHECKS = ['whole rods, in date', 'piece stamped', 'fit-up within limits', 'position fixed'] as const
export type CheckId = (typeof CHECKS)[number]

/** Whether a test now says of its rods that they are in date, and did not before. */
export const saysInDate = (
  next: Pick<WelderTest, 'checks'>,
  before: Pick<WelderTest, 'checks'> | null | undefined,
): boolean => next.checks['whole rods, in date'] && !before?.checks['whole rods, in date']

/** Where the welder stops until a witness has looked. */
export const HOLD_POINTS = ['fit-up', 'root', 'cap'] as const
export type HoldPoint = (typeof HOLD_POINTS)[number]

/** A person looked: initials, and the moment, UTC. */
export interface Signature {
  readonly by: string
  readonly at: string
}

/** From a moment to a moment, UTC; no end while it goes on. */
export interface ClockSpan {
  readonly from: string
  readonly to: string | null
}

/** The weld was interrupted, and the clock stood. */
export interface Stop extends ClockSpan {
  readonly why: string
}

/**
 * A specimen as it came out: openings of a bend, or what was judged by hand of any other; a film's indications are
 * its note.
 */
export interface SpecimenResult extends Signature {
  readonly openings: readonly Opening[]
  readonly byHand: 'passes' | 'fails' | null
  readonly note: string
}

/** The side of a weld that a line of the criteria failed: what is seen from above, or its root from behind. */
export type VisualSide = 'face' | 'root'

/**
 * The visual: what the criteria say of the coupon as it was read, and what was signed; a signature against the
 * criteria says why.
 */
export interface Visual extends Signature {
  readonly computed: 'passes' | 'fails'
  readonly outcome: 'passes' | 'fails'
  readonly failed: readonly string[]
  /** Where the lines lie that failed; left out where no line did, or it was not kept. */
  readonly failedOn?: readonly VisualSide[]
  readonly why: string
}

/** What a retest is of, and how many pieces are welded for it: all of them must pass. */
export interface Retest {
  readonly of: string
  readonly pieces: number
}

/**
 * One test, from plan to result. Lengths mm; openings in the unit of the test. A school's record of a test, and not
 * a certificate.
 * `couponId` is the coupon that the Bench reads of it; `book` says by which code book and version it is judged.
 */
export interface WelderTest {
  readonly schema: 1
  readonly studentId: string
  /** Local date of the test, ISO 8601. */
  readonly testDay: string
  readonly book: { readonly id: string; readonly version: number }
  readonly rulesVersion: number
  readonly pieceName: string
  readonly piece: Piece
  readonly ticket: Ticket
  readonly passes: readonly Pass[]
  readonly couponId: string
  readonly test: TestTaken
  readonly examinedBy: ExaminedBy
  /** Yield strength of the base metal, MPa; it sets the former. */
  readonly yieldMpa: number
  /** The school's limit of time on the clock, minutes; null where there is none. */
  readonly limitMinutes: number | null
  /** The failed test that this one is a retest of; null for a first try. */
  readonly retest: Retest | null
  /** Odds of the day it was planned, 0 to 1; null where it was not asked. */
  readonly odds: number | null
  /** Those odds stage by stage, and how sure they were; left out where it was not asked. */
  readonly said?: SaidOdds
  readonly stamp: string
  readonly checks: Readonly<Record<CheckId, boolean>>
  /** How the joint was gauged; null where it was not kept. */
  readonly fitUp: FitUp | null
  readonly holds: Readonly<Record<HoldPoint, Signature | null>>
  readonly startedAt: string | null
  readonly endedAt: string | null
  readonly stops: readonly Stop[]
  /** When each pass was begun and ended, by its id. */
  readonly runs: Readonly<Record<string, ClockSpan>>
  readonly visual: Visual | null
  readonly results: Readonly<Record<string, SpecimenResult>>
  readonly notes: string
}

/** What was said of a test's stages on the day it was planned, and the 90 % interval of the whole. 0 to 1. */
export interface SaidOdds {
  readonly visual: number
  /** Of its strips, once the visual is passed. */
  readonly bends: number
  /**
   * Each as the coupons alone said it, before tests of the school moved it: what the result is held against. Absent on
   * a test planned before the two were told apart.
   */
  readonly byCoupons?: SaidByCoupons
  readonly low: number
  readonly high: number
}

/** What coupons say of the stages of a test. 0 to 1; 1 where a piece has no such stage. */
export interface SaidByCoupons {
  readonly visual: number
  /** Of the visual, face and root by themselves. Absent on a test planned before they were told apart. */
  readonly face?: number
  readonly root?: number
  readonly bends: number
}

/** What is settled when a test is planned. */
export interface TestPlanned extends Pick<WelderTest, 'book' | 'couponId' | 'retest' | 'limitMinutes'> {
  /** What was said of it; null where it was not asked. */
  readonly said: (SaidOdds & { readonly odds: number }) | null
  readonly piece: TestPiece
  readonly welder: TestWelder
}

/** Mild steel as a school buys it: 36 ksi, MPa. */
const USUAL_YIELD_MPA = 250

/**
 * A test as it is planned: its piece as the Bench would open it.
 * @throws RangeError when the piece's sizes do not go together
 */
export function newTest({ piece, welder, said, ...plan }: TestPlanned, rules: HouseRules): WelderTest {
  const coupon = couponOf(piece, welder, rules)
  const passes = coupon.passes!
  return {
    schema: 1,
    ...plan,
    odds: said?.odds ?? null,
    ...(said ? { said: saidOf(said) } : {}),
    studentId: welder.studentId,
    testDay: welder.classDay,
    rulesVersion: welder.rulesVersion,
    pieceName: piece.name,
    piece: piece.piece,
    ticket: coupon.ticket,
    passes,
    test: takenWith(piece, passes, rules.unit),
    examinedBy: 'specimens',
    yieldMpa: USUAL_YIELD_MPA,
    ...NOT_BEGUN,
  }
}

const saidOf = ({ visual, bends, byCoupons, low, high }: SaidOdds): SaidOdds => ({
  visual,
  bends,
  byCoupons,
  low,
  high,
})

/** A test's stages as the coupons alone said them; what was told stands for that where nothing else is kept. */
export const saidByCoupons = ({ visual, bends, byCoupons }: SaidOdds): SaidByCoupons => byCoupons ?? { visual, bends }

/** A test before anything of it is done. */
export const NOT_BEGUN: Pick<
  WelderTest,
  'stamp' | 'checks' | 'fitUp' | 'holds' | 'startedAt' | 'endedAt' | 'stops' | 'runs' | 'visual' | 'results' | 'notes'
> = {
  stamp: '',
  checks: {
    'whole rods, in date': false,
    'piece stamped': false,
    'fit-up within limits': false,
    'position fixed': false,
  },
  fitUp: null,
  holds: { 'fit-up': null, 'root': null, 'cap': null },
  startedAt: null,
  endedAt: null,
  stops: [],
  runs: {},
  visual: null,
  results: {},
  notes: '',
}

/** The test with other passes: what each filler deposits follows them. */
export function withPasses(document: WelderTest, passes: readonly Pass[]): WelderTest {
  const { fillers } = takenWith(
    { ...document, position: document.test.position, travel: document.ticket.travel },
    passes,
    document.test.unit,
  )
  return { ...document, passes, test: { ...document.test, fillers } }
}

/** The hold points of a test: a weld of one pass has no root to be looked at before its cap. */
export const holdPointsOf = ({ passes }: Pick<WelderTest, 'passes'>): readonly HoldPoint[] =>
  passes.some(pass => pass.role === 'root') ? HOLD_POINTS : HOLD_POINTS.filter(point => point !== 'root')

/** The specimens of a test. @throws RangeError when they do not fit the piece */
export const specimensOf = (
  { test, piece, examinedBy }: Pick<WelderTest, 'test' | 'piece' | 'examinedBy'>,
  book: CodeBook,
): readonly Specimen[] => specimenPlan(book, test, seamLength(piece), examinedBy).specimens

/**
 * The coupon of a test as the Bench opens it, its passes logged with the times they were run, and what bends laid
 * open marked on it.
 * @param clock turns a moment into the time on the shop's wall, `18:05`
 */
export function testCoupon(document: WelderTest, rules: HouseRules, clock: (moment: string) => string): CouponDocument {
  const { studentId, testDay, rulesVersion, piece, ticket, passes, runs, fitUp } = document
  const logged = passes.map((pass): Pass => {
    const run = runs[pass.id]
    return run
      ? { ...pass, log: { ...pass.log, started: clock(run.from), ...(run.to ? { ended: clock(run.to) } : {}) } }
      : pass
  })
  return {
    ...newCoupon({ studentId, classDay: testDay, rulesVersion, piece, ticket, passes: logged, beadCount: 1 }, rules),
    mock: true,
    ...(fitUp ? { fitUp } : {}),
  }
}

/** The coupon as it was read, with what the test's bends laid open marked on it. */
export function withOpenings(coupon: CouponDocument, document: WelderTest, book: CodeBook): CouponDocument {
  const bends = specimensOf(document, book).flatMap(specimen =>
    document.results[specimen.id] ? [{ specimen, openings: document.results[specimen.id]!.openings }] : [],
  )
  return withBendMarks(coupon, bends, length => (unitFor(book, document.test) === 'in' ? length * MM_PER_INCH : length))
}

/**
 * Minutes on the clock of a test so far, what it stood still left out.
 * @param now the moment, UTC
 */
export function minutesRun(
  { startedAt, endedAt, stops }: Pick<WelderTest, 'startedAt' | 'endedAt' | 'stops'>,
  now: string,
): number {
  if (startedAt === null) return 0
  const end = Date.parse(endedAt ?? now)
  const stood = stops.reduce(
    (sum, stop) => sum + Math.max(0, Math.min(end, Date.parse(stop.to ?? now)) - Date.parse(stop.from)),
    0,
  )
  return Math.max(0, end - Date.parse(startedAt) - stood) / 60_000
}
