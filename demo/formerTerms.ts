import { dayNumber, daysAfter, spokenMonth, type ClassDay } from '../core/calendar'
import { shippedBook, testPieceOf } from '../core/qualification'
import { beginOutlook, outlookCase, testPlan, type Outlook } from '../core/readiness'
import type { SectionFields } from '../contract/people'
import { growSchool, SCHOOL_RULES, type DemoStudent } from './gannetQuay'
import { FIRST_NAMES, FAMILY_NAMES } from './names'
import { knownOf, piecesFor, type SchoolLearnt } from './readinessTrial'

/**
 * A term that is over. Its students have left and their coupons are no longer kept, as a school's retention would have
 * it; their tests are, with what was said of each.
 */
export interface FormerTerm {
  readonly section: SectionFields
  readonly students: readonly FormerStudent[]
}

export interface FormerStudent {
  readonly name: string
  readonly student: DemoStudent
  readonly tests: readonly FormerTest[]
}

interface FormerTest {
  readonly piece: string
  readonly bookId: string
  readonly testDay: ClassDay
  readonly said: Outlook
}

/** How long ago the former terms ended, and of which seed their students were. */
const TERMS = [
  { days: 182, seed: 31 },
  { days: 364, seed: 53 },
] as const
/** How many pieces a student was sent to, the hardest that had been come to, and how many days apart. */
const PIECES = 4
const APART_DAYS = 3
const ATTEMPTS = 400

/**
 * The terms before this one, the newest first.
 * @param lastDay of this term's newest class
 * @param learnt what the school knows of how its students learn
 */
export const formerTerms = (lastDay: ClassDay, learnt: SchoolLearnt): FormerTerm[] =>
  TERMS.map(({ days, seed }, term) => {
    const ended = daysAfter(lastDay, -days)
    const sections = growSchool(seed, ended)
    const { meetings, termFrom } = sections[0]!.fields
    const termTo = daysAfter(ended, PIECES * APART_DAYS)
    return {
      section: { name: `Term to ${spokenMonth(termTo.slice(0, 7))}`, meetings, termFrom, termTo },
      students: sections
        .flatMap(section => section.students)
        .map((student, place) => ({
          name: `${FIRST_NAMES[place]} ${FAMILY_NAMES[(place + 7 + 6 * term) % FAMILY_NAMES.length]}`,
          student,
          tests: testsOf(student, ended, learnt),
        })),
    }
  })

function testsOf(student: DemoStudent, ended: ClassDay, learnt: SchoolLearnt): FormerTest[] {
  const known = knownOf(student, learnt)
  return piecesFor(student)
    .slice(-PIECES)
    .map(({ piece, bookId }, n) => {
      const testDay = daysAfter(ended, 1 + n * APART_DAYS)
      const plan = testPlan(testPieceOf(piece), SCHOOL_RULES, shippedBook(bookId))
      const run = beginOutlook(outlookCase(known, plan, dayNumber(testDay), 1))
      run.run(ATTEMPTS)
      return { piece, bookId, testDay, said: run.result() }
    })
}
