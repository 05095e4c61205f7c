import { bendVerdict, type Opening } from './bendVerdict'
import { familyOfCode } from './codeFamily'
import { sizeIn } from './printedSize'
import { RETESTS } from './retest'
import { specimenPlan, type Specimen, type SpecimenKind } from './specimens'
import { testFaults, type TestTaken } from './testTaken'

/** What is looked at before the arc is struck, under test terms. */
export const CHECKS = ['whole rods, in date', 'piece stamped', 'fit-up within limits', 'position fixed'] as const
export type CheckId = (typeof CHECKS)[number]

/** Where the welder stops until a witness has looked. */
export const HOLD_POINTS = ['fit-up', 'root', 'cap'] as const
export type HoldPoint = (typeof HOLD_POINTS)[number]

/** Somebody looked: initials, and the moment, UTC. */
export interface Seen {
  readonly by: string
  readonly at: string
}

/** A specimen as it came out: openings of a bend, or what was judged by hand of any other. */
export interface SpecimenResult extends Seen {
  readonly openings: readonly Opening[]
  readonly byHand: 'passes' | 'fails' | null
}

/** One test, from plan to result. Lengths mm; openings in the unit of the test. A school's record, and not a certificate. */
export interface TestDocument {
  readonly schema: 1
  readonly studentId: string
  /** Local date of the test, ISO 8601. */
  readonly testDay: string
  readonly pieceName: string
  readonly seamMm: number
  readonly test: TestTaken
  /** Yield strength of the base metal, MPa; it sets the former. */
  readonly yieldMpa: number
  readonly stamp: string
  readonly checks: Readonly<Record<CheckId, boolean>>
  /** Odds of the day it was planned, 0 to 1; null when nobody asked. */
  readonly odds: number | null
  readonly holds: Readonly<Record<HoldPoint, Seen | null>>
  readonly startedAt: string | null
  readonly endedAt: string | null
  readonly visual: (Seen & { readonly outcome: 'passes' | 'fails', readonly couponId: string | null, readonly failed: readonly string[] }) | null
  readonly results: Readonly<Record<string, SpecimenResult>>
  readonly notes: string
}

/** A test as it is planned. */
export function newTest(plan: Pick<TestDocument, 'studentId' | 'testDay' | 'pieceName' | 'seamMm' | 'test' | 'odds'>): TestDocument {
  return {
    schema: 1, ...plan, yieldMpa: 250, stamp: '', checks: { 'whole rods, in date': false, 'piece stamped': false, 'fit-up within limits': false, 'position fixed': false },
    holds: { 'fit-up': null, 'root': null, 'cap': null }, startedAt: null, endedAt: null, visual: null, results: {}, notes: '',
  }
}

/** The specimens of a test. */
export const specimensOf = ({ test, seamMm }: Pick<TestDocument, 'test' | 'seamMm'>): readonly Specimen[] => specimenPlan(test, seamMm).specimens

const isBend = (kind: SpecimenKind) => kind === 'face' || kind === 'root' || kind === 'side'

/** How one specimen came out; null while nobody has looked at it. */
export function specimenOutcome({ test, results }: TestDocument, specimen: Specimen): { readonly outcome: 'passes' | 'fails' | 'another specimen', readonly reasons: readonly string[], readonly clause: string } | null {
  const result = results[specimen.id]
  if (!result) return null
  if (!isBend(specimen.kind)) return { outcome: result.byHand ?? 'fails', reasons: result.byHand === 'fails' ? ['Judged by hand'] : [], clause: 'judged by hand, signed' }
  return bendVerdict(test.family, test.unit, result.openings, test.form === 'pipe' ? sizeIn(test.thicknessMm, test.unit).value : null)
}

export type TestState = 'planned' | 'under way' | 'for visual' | 'for specimens' | 'passed' | 'failed'

/** Where a test stands, why, and what comes next. */
export interface TestStanding {
  readonly state: TestState
  readonly reasons: readonly string[]
  readonly next: string
}

/**
 * Where a test stands. A failed visual ends it; a specimen that fails, fails it.
 * @example testStanding(newTest(plan)).state // 'planned'
 */
export function testStanding(document: TestDocument): TestStanding {
  const { startedAt, endedAt, visual, test } = document
  const again = `Retest at once: ${RETESTS[test.family].atOnce}. Or ${RETESTS[test.family].afterTraining}.`
  if (startedAt === null) return { state: 'planned', reasons: [], next: CHECKS.every(check => document.checks[check]) ? 'Witness the fit-up and start the clock' : 'Go through the checklist' }
  if (endedAt === null) return { state: 'under way', reasons: [], next: document.holds.root === null ? 'Weld the root, then have it witnessed' : document.holds.cap === null ? 'Weld out, then have the cap witnessed' : 'Stop the clock' }
  if (visual === null) return { state: 'for visual', reasons: [], next: 'Read it on the Bench, then hold it against the visual criteria' }
  if (visual.outcome === 'fails') return { state: 'failed', reasons: visual.failed, next: again }
  const outcomes = specimensOf(document).map(specimen => ({ specimen, out: specimenOutcome(document, specimen) }))
  const failed = outcomes.filter(row => row.out?.outcome === 'fails')
  if (failed.length > 0) return { state: 'failed', reasons: failed.flatMap(row => row.out!.reasons.map(reason => `${row.specimen.kind}: ${reason} (${familyOfCode(test.family).name} ${row.out!.clause})`)), next: again }
  const open = outcomes.filter(row => row.out === null || row.out.outcome === 'another specimen')
  if (open.length > 0) return { state: 'for specimens', reasons: open.flatMap(row => row.out?.reasons ?? []), next: `${open.length} of ${outcomes.length} specimens to do` }
  return { state: 'passed', reasons: [`Visual and ${outcomes.length} specimens`], next: 'Print the record; keep it alive by using the process' }
}

/**
 * What cannot be as it stands, by where it is: a step before the one it needs, a specimen that is none of the piece's.
 * @returns none when the document can be kept
 * @example documentFaults({ ...planned, visual }).map(fault => fault.path) // ['visual']
 */
export function documentFaults(document: TestDocument): { readonly path: string, readonly message: string }[] {
  const faults: { path: string, message: string }[] = testFaults(document.test).map(({ path, message }) => ({ path: `test.${path}`, message }))
  if (faults.length > 0) return faults
  const say = (path: string, message: string) => faults.push({ path, message })
  const { startedAt, endedAt, visual, holds, results, checks } = document
  let ids: ReadonlySet<string>
  try {
    ids = new Set(specimensOf(document).map(specimen => specimen.id))
  } catch (error) {
    return [{ path: 'seamMm', message: (error as Error).message }]
  }
  if (startedAt !== null && !CHECKS.every(check => checks[check])) say('checks', 'The clock runs once the checklist is done')
  if (startedAt !== null && holds['fit-up'] === null) say('holds.fit-up', 'The fit-up is witnessed before the clock runs')
  if (startedAt !== null && document.stamp.trim() === '') say('stamp', 'The piece carries a stamp before it is welded')
  if (endedAt !== null && (startedAt === null || endedAt < startedAt)) say('endedAt', 'The clock stops after it was started')
  if (endedAt !== null && (holds.root === null || holds.cap === null)) say('holds', 'Root and cap are witnessed before the clock stops')
  if (visual !== null && endedAt === null) say('visual', 'The visual comes when the piece is welded out')
  if (visual?.outcome === 'fails' && visual.failed.length === 0) say('visual.failed', 'Say which line failed')
  for (const [id, result] of Object.entries(results)) {
    if (!ids.has(id)) say(`results.${id}`, 'That specimen is none of this piece’s')
    if (visual?.outcome !== 'passes') say(`results.${id}`, 'A bend comes after a visual that passes')
    if (result.openings.some(opening => !(opening.length >= 0))) say(`results.${id}`, 'An opening has a length')
  }
  return faults
}
