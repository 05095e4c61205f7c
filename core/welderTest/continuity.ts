import { addDays, addMonths, addYears, differenceInCalendarDays, formatISO, parseISO } from 'date-fns'
import type { Process } from '../trade'
import type { CodeBook, ContinuityRule } from '../qualification/codeBook'

const iso = (date: Date) => formatISO(date, { representation: 'date' })

/**
 * The last day on which a qualification still stands without another use: a number of calendar months on, the same day
 * or the month's last;
 * with "or more" a day sooner.
 * @param lastUsed local date, ISO 8601
 * @example keptUntil(STRUCTURAL.continuity, '2026-08-31') // '2027-02-28'
 */
export function keptUntil({ months, orMore }: Pick<ContinuityRule, 'months' | 'orMore'>, lastUsed: string): string {
  const end = addMonths(parseISO(lastUsed), months)
  return iso(orMore ? addDays(end, -1) : end)
}

/**
 * Days from one local date to another; less than 0 when it is past. Calendar days are counted, so that a
 * change of the clock takes or gives none.
 */
export const daysUntil = (today: string, day: string): number =>
  differenceInCalendarDays(parseISO(day), parseISO(today))

/** A process used under a witness, or its use confirmed by the person who answers for the welder. Local date. */
export interface ProcessUse {
  readonly process: Process
  readonly kind: 'used' | 'confirmed'
  readonly usedOn: string
}

/** A test that was passed. */
export interface PassedTest {
  readonly book: CodeBook
  readonly processes: readonly Process[]
  readonly testDay: string
}

/** How a student stands with one process by one book. Local dates. */
export interface Continuity {
  readonly book: CodeBook
  readonly process: Process
  /** The last test that began it anew. */
  readonly testedOn: string
  readonly lastUsed: string
  readonly lastDay: string
  /** The day it lapsed, the first on which it no longer stood; null while it stands. */
  readonly lapsedOn: string | null
  /** By when it is tested again in any case; null where it need not be. */
  readonly againBy: string | null
}

/**
 * How a student's qualifications stand today, one row a process and family. A use or a passed test within the time
 * keeps what was there alive; one after it
 * lapsed does not bring it back, a passed test does. Where the book wants a confirmation, use alone keeps nothing.
 * @param today local date, ISO 8601
 * @example continuityOf([{ book: STRUCTURAL, processes: ['SMAW'], testDay: '2026-03-15' }], [],
 *   '2026-10-01')[0].lapsedOn // '2026-09-16'
 */
export function continuityOf(tests: readonly PassedTest[], uses: readonly ProcessUse[], today: string): Continuity[] {
  const keys = new Map(
    tests.flatMap(test =>
      test.processes.map(process => [`${test.book.family} ${process}`, { family: test.book.family, process }] as const),
    ),
  )
  return [...keys.values()]
    .map(({ family, process }) => {
      const own = tests
        .filter(test => test.book.family === family && test.processes.includes(process) && test.testDay <= today)
        .sort((a, b) => a.testDay.localeCompare(b.testDay))
      return standing(
        own,
        uses.filter(use => use.process === process && use.usedOn <= today),
        process,
        today,
      )
    })
    .filter(row => row !== null)
}

function standing(
  tests: readonly PassedTest[],
  uses: readonly ProcessUse[],
  process: Process,
  today: string,
): Continuity | null {
  const newest = tests.at(-1)
  if (!newest) return null
  const { continuity } = newest.book
  const counting = uses.filter(use => !continuity.confirmed || use.kind === 'confirmed').map(use => use.usedOn)
  let [testedOn, lastUsed, lapsed] = [tests[0]!.testDay, tests[0]!.testDay, false]
  const events = [
    ...tests.slice(1).map(test => ({ day: test.testDay, test: true })),
    ...counting.map(day => ({ day, test: false })),
  ].sort((a, b) => a.day.localeCompare(b.day))
  for (const { day, test } of events.filter(event => event.day >= lastUsed)) {
    if (day > endOf(continuity, testedOn, lastUsed)) lapsed = true
    if (test) [testedOn, lapsed] = [day, false]
    if (!lapsed) lastUsed = day
  }
  const lastDay = endOf(continuity, testedOn, lastUsed)
  const againBy = continuity.again === null ? null : iso(addYears(parseISO(testedOn), continuity.again))
  return {
    book: newest.book,
    process,
    testedOn,
    lastUsed,
    lastDay,
    againBy,
    lapsedOn: lapsed || lastDay < today ? iso(addDays(parseISO(lastDay), 1)) : null,
  }
}

/** The sooner of the last day by use, and the day by which it is tested again. */
function endOf(rule: ContinuityRule, testedOn: string, lastUsed: string): string {
  const byUse = keptUntil(rule, lastUsed)
  const byTest = rule.again === null ? byUse : iso(addYears(parseISO(testedOn), rule.again))
  return byTest < byUse ? byTest : byUse
}

/** What lapses within a number of days from today, soonest first; what has lapsed is not among them. */
export const lapsing = (rows: readonly Continuity[], today: string, days: number): Continuity[] =>
  rows
    .filter(row => row.lapsedOn === null && daysUntil(today, row.lastDay) <= days)
    .sort((a, b) => a.lastDay.localeCompare(b.lastDay))
