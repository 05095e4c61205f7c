import type { ElementId } from '../grading'
import { BURIED, type Wrong, type WrongRow } from '../progress'
import type { Work } from '../trade'

/** What becomes of unsound work under test terms, for one student at one piece and one set of visual criteria. */
export interface TestHabits {
  /** By element, marks that a test rejects for each unsound try, or each length of bead that is unsound. */
  readonly rejected: Readonly<Partial<Record<ElementId, number>>>
  /** How many marks each of these shares rests on, so that it can be said how sure it is. */
  readonly restsOn: Readonly<Partial<Record<ElementId, number>>>
  /** Openings beyond the limit for each length of bead that a bend stretches. */
  readonly opens: number
  /** How far one day is off another, logit. */
  readonly day: number
}

/** Before anybody has welded anything: three marks of ten that are not sound. Rough, common practice. */
const USUAL_REJECTED = 0.3
/** What that weighs, in what is not sound; and what a school's share on all work weighs against that on one kind. */
const USUAL_WEIGHS = 3
const ALL_WORK_WEIGHS = 10
/** What a school's share weighs against a student's, in marks. */
const SCHOOL_WEIGHS = 5
/**
 * One in ten of each length stretched: so a face bend of 1 1/2 in from 3/8 in plate opens beyond the limit one time in
 * ten. Rough, common practice; a school's own tests move it.
 */
export const USUAL_OPENS = 0.1
/** One bend in seven shows something open. Rough, common practice. */
const USUAL_OPENED = 0.15
const BENDS_WEIGH = 10
/** However often a student's bends opened, some hold: openings a length. */
const MOST_OPENS = 1.8
/** Spread of one day against another. It goes with how alike the tries of one coupon are. */
const DAY = 0.6

export interface HabitsKnown {
  /** What was wrong with this student's coupons of late, and with the whole school's. */
  readonly own: Wrong
  readonly school: Wrong
  /** Bends made of this student's tests and of all tests, and how many of them opened. */
  readonly bends: Bends
  readonly schoolBends: Bends
}

export interface Bends {
  readonly bent: number
  readonly opened: number
}

/** Which test: the id of its visual criteria, and the kind of work its piece is. */
export interface TestedBy {
  readonly criteriaId: string
  readonly work: Work
}

const openedShare = ({ bent, opened }: Bends) => (opened + BENDS_WEIGH * USUAL_OPENED) / (bent + BENDS_WEIGH)

/** Something counted on rows of what was wrong, out of what it can be counted on. */
interface Counted {
  readonly of: (row: WrongRow) => number
  readonly outOf: (row: WrongRow) => number
}

const total = (rows: Wrong, amount: (row: WrongRow) => number) => rows.reduce((sum, row) => sum + amount(row), 0)

const ofElement = (wrong: Wrong, element: ElementId): Wrong => wrong.filter(row => row.element === element)

/**
 * A school's share on one kind of work, held toward its share on all work while there is little, and that toward a
 * usual one.
 */
function schoolShare(school: Wrong, work: Work, { of, outOf }: Counted, usual: number): number {
  const all = (total(school, of) + USUAL_WEIGHS * usual) / (total(school, outOf) + USUAL_WEIGHS)
  const here = school.filter(row => row.work === work)
  return (total(here, of) + ALL_WORK_WEIGHS * all) / (total(here, outOf) + ALL_WORK_WEIGHS)
}

/**
 * How many more than usual one student's are, over all kinds of work: what was counted beside what the school's own
 * shares make of as much.
 */
function timesUsual(own: Wrong, { of, outOf }: Counted, usualOn: (work: Work) => number): number {
  const expected = total(own, row => usualOn(row.work) * outOf(row))
  return (total(own, of) + SCHOOL_WEIGHS) / (expected + SCHOOL_WEIGHS)
}

/**
 * How this student's unsound work goes under test terms, from the student's own marks held against the test's
 * criteria: a share of the school's on that kind of work, as many times over as the student's marks are of the
 * school's.
 * @example habitsOf(known, { criteriaId: 'd1.1 welder', work: 'groove' }).rejected.ends // 0.7: of ten ends that are
 *   not sound, seven would be rejected
 */
export function habitsOf({ own, school, bends, schoolBends }: HabitsKnown, { criteriaId, work }: TestedBy): TestHabits {
  const rejected: Partial<Record<ElementId, number>> = {}
  const restsOn: Partial<Record<ElementId, number>> = {}
  const counted: Counted = { of: row => row.rejected[criteriaId] ?? 0, outOf: row => row.unsound }
  for (const element of new Set([...own, ...school].map(row => row.element))) {
    const [mine, all] = [ofElement(own, element), ofElement(school, element)]
    const usualOn = (on: Work) => schoolShare(all, on, counted, USUAL_REJECTED)
    rejected[element] = usualOn(work) * timesUsual(mine, counted, usualOn)
    restsOn[element] = total(mine, counted.of) + SCHOOL_WEIGHS
  }
  // What a student with this number of bends would show at the school's own rate.
  const expected = (bends.bent * openedShare(schoolBends) + BENDS_WEIGH * USUAL_OPENED) / (bends.bent + BENDS_WEIGH)
  const opens = USUAL_OPENS * buriedTimesUsual(own, school) * (openedShare(bends) / expected)
  return { rejected, restsOn, opens: Math.min(MOST_OPENS, opens), day: DAY }
}

/** How many times as much of a student's beads lies buried as is usual at the school, kind of work by kind of work. */
function buriedTimesUsual(own: Wrong, school: Wrong): number {
  const [mine, all] = [ofElement(own, 'run'), ofElement(school, 'run')]
  const counted: Counted = { of: row => row.rejected[BURIED] ?? 0, outOf: row => row.tried }
  const usual = total(mine, counted.of) / Math.max(1, total(mine, counted.outOf))
  return timesUsual(mine, counted, on => schoolShare(all, on, counted, usual))
}

/** The share of an element; of one that was never tried the usual. */
export const rejectedOf = ({ rejected }: TestHabits, element: ElementId): number => rejected[element] ?? USUAL_REJECTED
export const restsOnOf = ({ restsOn }: TestHabits, element: ElementId): number =>
  restsOn[element] ?? USUAL_WEIGHS * USUAL_REJECTED
