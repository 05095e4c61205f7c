import { clauseIn, type CodeBook } from '../qualification/codeBook'
import { bendVerdict, type BendVerdict } from './bendVerdict'
import { retestOptions } from './retests'
import { isBend, type Specimen } from './specimens'
import { CHECKS, holdPointsOf, specimensOf, type WelderTest } from './welderTest'
import type { TestState } from './testState'
import { thicknessIn, unitFor } from '../qualification/testTaken'

/** How one specimen came out; null while nobody has looked at it. */
export function specimenVerdict(
  document: Pick<WelderTest, 'test' | 'results'>,
  specimen: Specimen,
  book: CodeBook,
): BendVerdict | null {
  const result = document.results[specimen.id]
  if (!result) return null
  if (isBend(specimen.kind))
    return bendVerdict(book, unitFor(book, document.test), result.openings, thicknessIn(book, document.test).value)
  const source = book.byHand[specimen.kind]
  return {
    outcome: result.byHand ?? 'fails',
    reasons: result.byHand === 'passes' ? [] : [result.note.trim() || 'Judged by hand'],
    clause: source ? clauseIn(book, source) : book.name,
  }
}

/** Where a test stands, why, and what comes next. */
export interface TestStanding {
  readonly state: TestState
  readonly reasons: readonly string[]
  readonly next: string
}

/**
 * Where a test stands by its book. A failed visual ends it; a specimen that fails, fails it.
 * @example testStanding(newTest(plan, rules), STRUCTURAL).state // 'planned'
 */
export function testStanding(document: WelderTest, book: CodeBook): TestStanding {
  const { startedAt, endedAt, visual, holds } = document
  if (startedAt === null)
    return {
      state: 'planned',
      reasons: [],
      next: CHECKS.every(check => document.checks[check])
        ? 'Witness the fit-up and start the clock'
        : 'Go through the checklist',
    }
  const due = holdPointsOf(document).find(point => holds[point] === null)
  if (endedAt === null)
    return {
      state: 'under way',
      reasons: [],
      next: due ? `Weld up to the ${due}, and have it witnessed` : 'Stop the clock',
    }
  const again = retestOptions(book, document.testDay)
    .map(option => option.says)
    .join('. ')
  if (visual === null)
    return { state: 'for visual', reasons: [], next: 'Read it on the Bench, then hold it against the visual criteria' }
  if (visual.outcome === 'fails')
    return { state: 'failed', reasons: visual.failed.length > 0 ? visual.failed : [visual.why], next: again }
  const outcomes = specimensOf(document, book).map(specimen => ({
    specimen,
    verdict: specimenVerdict(document, specimen, book),
  }))
  const failed = outcomes.filter(row => row.verdict?.outcome === 'fails')
  if (failed.length > 0)
    return {
      state: 'failed',
      reasons: failed.flatMap(row =>
        row.verdict!.reasons.map(reason => `${row.specimen.kind}: ${reason} (${row.verdict!.clause})`),
      ),
      next: again,
    }
  const open = outcomes.filter(row => row.verdict?.outcome !== 'passes')
  if (open.length > 0)
    return {
      state: 'for specimens',
      reasons: open.flatMap(row => row.verdict?.reasons ?? []),
      next: `${open.length} of ${outcomes.length} to look at`,
    }
  return {
    state: 'passed',
    reasons: [`Visual and ${outcomes.length === 1 ? outcomes[0]!.specimen.kind : `${outcomes.length} specimens`}`],
    next: 'Print the record; keep it alive by using the process',
  }
}

/**
 * How many bends of a test were made, and how many of them showed something open that does not come from a corner:
 * what was buried and not ground out.
 */
export function bendsOf({ results }: Pick<WelderTest, 'results'>): {
  readonly bent: number
  readonly opened: number
} {
  const bends = Object.entries(results)
    .filter(([id]) => /^(face|root|side)-/.test(id))
    .map(([, result]) => result)
  return {
    bent: bends.length,
    opened: bends.filter(result => result.openings.some(opening => !opening.corner || opening.kind !== 'opening'))
      .length,
  }
}
