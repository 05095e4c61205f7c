import type { ElementId } from '../grading'
import { BURIED, type ByElement, type Wrong } from '../progress'

/** What becomes of unsound work under test terms, for one student and one set of visual criteria. */
export interface TestHabits {
  /** By element, marks that a test rejects for each unsound try, or each length of bead that is unsound. */
  readonly rejected: ByElement
  /** How many marks each of these shares rests on, so that it can be said how sure it is. */
  readonly restsOn: ByElement
  /** How likely a strip of this student's opens beyond the limit in a bend, 0 to 1. */
  readonly opens: number
  /** How far one day is off another, logit. */
  readonly day: number
}

/** Before anybody has welded anything: three marks of ten that are not sound. Rough, common practice. */
const USUAL_REJECTED = 0.3
/** What that weighs, in marks; and what the school's own share weighs against a student's. */
const USUAL_WEIGHS = 3
const SCHOOL_WEIGHS = 10
/** One strip in eight opens beyond the limit at a school. Rough, common practice; a school's own tests move it. */
export const USUAL_OPENS = 0.12
/** What a school's usual rate of what is buried weighs against a student's own, in lengths of bead. */
const BURIED_WEIGHS = 20
/** One bend in seven shows something open. Rough, common practice. */
const USUAL_OPENED = 0.15
const BENDS_WEIGH = 10
/** However often a student's bends opened, some hold. */
const MOST_OPENS = 0.6
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

const sum = (amounts: ByElement | undefined): number =>
  Object.values(amounts ?? {}).reduce<number>((all, amount) => all + amount, 0)
const openedShare = ({ bent, opened }: Bends) => (opened + BENDS_WEIGH * USUAL_OPENED) / (bent + BENDS_WEIGH)

/**
 * How this student's unsound work goes under test terms, from the student's own marks held against the test's
 * criteria: each share is the student's, held toward the school's while there is little, and the school's toward a
 * usual one.
 * @param criteriaId visual criteria of the test
 * @example habitsOf(known, 'd1.1 welder').rejected.ends // 0.7: of ten ends that are not sound, seven would be rejected
 */
export function habitsOf({ own, school, bends, schoolBends }: HabitsKnown, criteriaId: string): TestHabits {
  const rejected: Partial<Record<ElementId, number>> = {}
  const restsOn: Partial<Record<ElementId, number>> = {}
  const elements = new Set([...Object.keys(own.unsound), ...Object.keys(school.unsound)]) as Set<ElementId>
  for (const element of elements) {
    const of = ({ unsound, rejected: by }: Wrong) => ({
      unsound: unsound[element] ?? 0,
      rejected: by[criteriaId]?.[element] ?? 0,
    })
    const [mine, all] = [of(own), of(school)]
    const usual = (all.rejected + USUAL_WEIGHS * USUAL_REJECTED) / (all.unsound + USUAL_WEIGHS)
    rejected[element] = (mine.rejected + SCHOOL_WEIGHS * usual) / (mine.unsound + SCHOOL_WEIGHS)
    restsOn[element] = mine.rejected + SCHOOL_WEIGHS * usual
  }
  const rate = (wrong: Wrong, weighs: number, usual: number) =>
    (sum(wrong.rejected[BURIED]) + weighs * usual) / (wrong.beads + weighs)
  const schoolRate = rate(school, 1, sum(own.rejected[BURIED]) / Math.max(1, own.beads))
  const against = schoolRate > 0 ? rate(own, BURIED_WEIGHS, schoolRate) / schoolRate : 1
  // What a student with so many bends would show at the school's own rate.
  const expected = (bends.bent * openedShare(schoolBends) + BENDS_WEIGH * USUAL_OPENED) / (bends.bent + BENDS_WEIGH)
  const ownBends = openedShare(bends) / expected
  return { rejected, restsOn, opens: Math.min(MOST_OPENS, USUAL_OPENS * against * ownBends), day: DAY }
}

/** The share of an element; of one that was never tried the usual. */
export const rejectedOf = ({ rejected }: TestHabits, element: ElementId): number => rejected[element] ?? USUAL_REJECTED
export const restsOnOf = ({ restsOn }: TestHabits, element: ElementId): number =>
  restsOn[element] ?? USUAL_WEIGHS * USUAL_REJECTED
