import { clauseIn, type CodeBook } from '../qualification/codeBook'
import { thicknessIn, unitFor } from '../qualification/testTaken'
import { bendVerdict, type BendVerdict } from './bendVerdict'
import { isBend, type Specimen } from './specimens'
import type { TestState } from './testState'
import { specimensOf, type WelderTest } from './welderTest'

/** How one specimen came out; null while it was not looked at. */
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

/** How far a test has come, and what decided it; how many of its specimens are still to be looked at. */
export interface TestOutcome {
  readonly state: TestState
  readonly reasons: readonly string[]
  readonly open: number
}

const undecided = (state: TestState): TestOutcome => ({ state, reasons: [], open: 0 })

/**
 * How far a test has come by its book. A failed visual ends it; a specimen that fails, fails it.
 * @example testOutcome(newTest(plan, rules), STRUCTURAL).state // 'planned'
 */
export function testOutcome(document: WelderTest, book: CodeBook): TestOutcome {
  const { startedAt, endedAt, visual } = document
  if (startedAt === null) return undecided('planned')
  if (endedAt === null) return undecided('under way')
  if (visual === null) return undecided('for visual')
  if (visual.outcome === 'fails')
    return { ...undecided('failed'), reasons: visual.failed.length > 0 ? visual.failed : [visual.why] }
  return specimensOutcome(document, book)
}

function specimensOutcome(document: WelderTest, book: CodeBook): TestOutcome {
  const outcomes = specimensOf(document, book).map(specimen => ({
    specimen,
    verdict: specimenVerdict(document, specimen, book),
  }))
  const failed = outcomes.filter(row => row.verdict?.outcome === 'fails')
  if (failed.length > 0) {
    const reasons = failed.flatMap(({ specimen, verdict }) =>
      verdict!.reasons.map(reason => `${specimen.kind}: ${reason} (${verdict!.clause})`),
    )
    return { ...undecided('failed'), reasons }
  }
  const open = outcomes.filter(row => row.verdict?.outcome !== 'passes')
  if (open.length > 0)
    return { state: 'for specimens', reasons: open.flatMap(row => row.verdict?.reasons ?? []), open: open.length }
  const seen = outcomes.length === 1 ? outcomes[0]!.specimen.kind : `${outcomes.length} specimens`
  return { ...undecided('passed'), reasons: [`Visual and ${seen}`] }
}

/**
 * How many bends of a test were made, and how many of them showed something open that does not come from a corner:
 * what was buried and not ground out.
 */
export function bendsOf(
  document: WelderTest,
  book: CodeBook,
): {
  readonly bent: number
  readonly opened: number
} {
  const bends = specimensOf(document, book).flatMap(({ id, kind }) =>
    isBend(kind) && document.results[id] ? [document.results[id]!] : [],
  )
  return {
    bent: bends.length,
    opened: bends.filter(result => result.openings.some(opening => !opening.corner || opening.kind !== 'opening'))
      .length,
  }
}
