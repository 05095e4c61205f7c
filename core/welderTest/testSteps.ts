import type { CodeBook } from '../qualification/codeBook'
import { retestOptions } from './retests'
import { isBend, type Specimen } from './specimens'
import { testOutcome, type TestOutcome } from './testOutcome'
import type { TestState } from './testState'
import {
  CHECKS,
  holdPointsOf,
  specimensOf,
  type CheckId,
  type HoldPoint,
  type Signature,
  type WelderTest,
} from './welderTest'

/** What comes next on a test, one thing at a time. */
export type TestStep =
  | { readonly is: 'stamp' }
  | { readonly is: 'check'; readonly check: CheckId }
  | { readonly is: 'hold'; readonly point: HoldPoint }
  | { readonly is: 'start' }
  | { readonly is: 'begin'; readonly passId: string }
  | { readonly is: 'end'; readonly passId: string }
  | { readonly is: 'go on' }
  | { readonly is: 'finish' }
  | { readonly is: 'read' }
  | { readonly is: 'visual' }
  | { readonly is: 'specimen'; readonly specimen: Specimen }
  | { readonly is: 'record' }
  | { readonly is: 'retest' }

/** What a step takes beside a person who looks, and the moment. */
export type StepWants = 'a look' | 'a stamp' | 'the Bench' | 'a signature' | 'a result' | 'the papers' | 'a retest'

/** Where a test is when it is asked what comes next. */
interface StepNow extends TestOutcome {
  readonly document: WelderTest
  readonly book: CodeBook
  /** The coupon of the test has been read on the Bench. */
  readonly read: boolean
}

/** What is wrong with a test whose clock was started, or stopped, without the step. */
interface StepFault {
  readonly once: 'startedAt' | 'endedAt'
  readonly path: string
  readonly message: string
  /** True while the step has not been taken. */
  readonly open: (document: WelderTest) => boolean
}

interface StepRow<Step extends TestStep = TestStep> {
  readonly is: Step['is']
  /** The hold point that a row is of. */
  readonly at?: HoldPoint
  /** How far a test has come when the step may be due. */
  readonly during: readonly TestState[]
  /** The step, when it is due; null when it is done or its turn has not come. */
  readonly due: (now: StepNow) => Step | null
  /** What it is called on the one button of the page. */
  readonly say: (step: Step, document: WelderTest) => string
  /** What is to be done, in a sentence. */
  readonly lead: (now: StepNow) => string
  readonly wants: (step: Step) => StepWants
  /** The test after it. Left out where it takes more than a look. */
  readonly take?: (document: WelderTest, step: Step, seen: Signature) => WelderTest
  readonly fault?: StepFault
}

const row = <Is extends TestStep['is']>(made: StepRow<Extract<TestStep, { is: Is }>> & { is: Is }): StepRow =>
  made as unknown as StepRow

const aLook = (): StepWants => 'a look'

const roleOf = (passId: string, { passes }: WelderTest) => {
  const n = passes.findIndex(pass => pass.id === passId)
  return `pass ${n + 1}, ${passes[n]!.role}`
}
const unstamped = ({ stamp }: WelderTest) => stamp.trim() === ''
const unchecked = ({ checks }: WelderTest) => CHECKS.find(one => !checks[one])
const rooted = ({ passes, runs }: WelderTest) =>
  passes.filter(pass => pass.role === 'root').every(pass => runs[pass.id])

/** The weld goes on to the next hold point, or to its end. */
function weldOn({ document }: StepNow): string {
  const due = holdPointsOf(document).find(point => document.holds[point] === null)
  return due ? `Weld up to the ${due}, and have it witnessed` : 'Stop the clock'
}

const run = ({ runs }: WelderTest, passId: string, from: string, to: string | null): WelderTest['runs'] => ({
  ...runs,
  [passId]: { from: runs[passId]?.from ?? from, to },
})

interface HoldRow {
  readonly point: HoldPoint
  readonly during: TestState
  readonly ripe: (document: WelderTest) => boolean
  readonly lead: string
  readonly fault: Pick<StepFault, 'once' | 'message'>
}

function holdRow({ point, during, ripe, lead, fault }: HoldRow): StepRow {
  const open = (document: WelderTest) => document.holds[point] === null && holdPointsOf(document).includes(point)
  return row<'hold'>({
    is: 'hold',
    at: point,
    during: [during],
    due: ({ document }) => (open(document) && ripe(document) ? { is: 'hold', point } : null),
    say: step => `Witness the ${step.point}`,
    lead: () => lead,
    wants: aLook,
    take: (document, step, seen) => ({ ...document, holds: { ...document.holds, [step.point]: seen } }),
    fault: { ...fault, path: `holds.${point}`, open },
  })
}

/**
 * The steps of a test in their order: the checklist, the fit-up, the clock, each pass, the root and the cap before
 * the witness, the reading, the specimens, the papers. What comes next, what the page says and asks, and what is
 * at fault with a test that skipped one are all read off this table.
 */
const STEPS: readonly StepRow[] = [
  row<'stamp'>({
    is: 'stamp',
    during: ['planned'],
    due: ({ document }) => (unstamped(document) ? { is: 'stamp' } : null),
    say: () => 'Stamp the piece',
    lead: () => 'Stamp the piece, then go through the checklist',
    wants: () => 'a stamp',
    fault: {
      once: 'startedAt',
      path: 'stamp',
      message: 'The piece carries a stamp before it is welded',
      open: unstamped,
    },
  }),
  row<'check'>({
    is: 'check',
    during: ['planned'],
    due: ({ document }) => {
      const check = unchecked(document)
      return check ? { is: 'check', check } : null
    },
    say: step => `Seen: ${step.check}`,
    lead: () => 'Go through the checklist',
    wants: aLook,
    take: (document, step) => ({ ...document, checks: { ...document.checks, [step.check]: true } }),
    fault: {
      once: 'startedAt',
      path: 'checks',
      message: 'The clock runs once the checklist is done',
      open: document => unchecked(document) !== undefined,
    },
  }),
  holdRow({
    point: 'fit-up',
    during: 'planned',
    ripe: () => true,
    lead: 'Witness the fit-up, then start the clock',
    fault: { once: 'startedAt', message: 'The fit-up is witnessed before the clock runs' },
  }),
  row<'start'>({
    is: 'start',
    during: ['planned'],
    due: () => ({ is: 'start' }),
    say: () => 'Start the clock',
    lead: () => 'Start the clock',
    wants: aLook,
    take: (document, _, { at }) => ({ ...document, startedAt: at }),
  }),
  row<'go on'>({
    is: 'go on',
    during: ['under way'],
    due: ({ document }) => (document.stops.some(stop => stop.to === null) ? { is: 'go on' } : null),
    say: () => 'Go on',
    lead: () => 'The clock stands until the weld goes on',
    wants: aLook,
    take: (document, _, { at }) => ({
      ...document,
      stops: document.stops.map(stop => (stop.to === null ? { ...stop, to: at } : stop)),
    }),
  }),
  row<'end'>({
    is: 'end',
    during: ['under way'],
    due: ({ document }) => {
      const open = document.passes.find(pass => document.runs[pass.id]?.to === null)
      return open ? { is: 'end', passId: open.id } : null
    },
    say: (step, document) => `End ${roleOf(step.passId, document)}`,
    lead: weldOn,
    wants: aLook,
    take: (document, { passId }, { at }) => ({ ...document, runs: run(document, passId, at, at) }),
  }),
  holdRow({
    point: 'root',
    during: 'under way',
    ripe: rooted,
    lead: 'Witness the root before anything covers it',
    fault: { once: 'endedAt', message: 'The root is witnessed before the clock stops' },
  }),
  row<'begin'>({
    is: 'begin',
    during: ['under way'],
    due: ({ document }) => {
      const pass = document.passes.find(one => !document.runs[one.id])
      return pass ? { is: 'begin', passId: pass.id } : null
    },
    say: (step, document) => `Begin ${roleOf(step.passId, document)}`,
    lead: weldOn,
    wants: aLook,
    take: (document, { passId }, { at }) => ({ ...document, runs: run(document, passId, at, null) }),
  }),
  holdRow({
    point: 'cap',
    during: 'under way',
    ripe: () => true,
    lead: 'Witness the cap, then stop the clock',
    fault: { once: 'endedAt', message: 'The cap is witnessed before the clock stops' },
  }),
  row<'finish'>({
    is: 'finish',
    during: ['under way'],
    due: () => ({ is: 'finish' }),
    say: () => 'Stop the clock',
    lead: () => 'Stop the clock',
    wants: aLook,
    take: (document, _, { at }) => ({ ...document, endedAt: at }),
  }),
  row<'read'>({
    is: 'read',
    during: ['for visual'],
    due: ({ read }) => (read ? null : { is: 'read' }),
    say: () => 'Read it on the Bench',
    lead: () => 'Read it on the Bench, then hold it against the visual criteria',
    wants: () => 'the Bench',
  }),
  row<'visual'>({
    is: 'visual',
    during: ['for visual'],
    due: () => ({ is: 'visual' }),
    say: () => 'Sign the visual',
    lead: () => 'Look over the lines of the visual, then sign',
    wants: () => 'a signature',
  }),
  row<'specimen'>({
    is: 'specimen',
    during: ['for specimens'],
    due: ({ document, book }) => {
      const all = specimensOf(document, book)
      const specimen =
        all.find(one => !document.results[one.id]) ?? all.find(one => document.results[one.id]!.openings.length > 0)
      return specimen ? { is: 'specimen', specimen } : null
    },
    say: ({ specimen: { kind } }) => (isBend(kind) ? `Sound: ${kind} bend` : `Judge the ${kind}`),
    lead: ({ open, document, book }) => `${open} of ${specimensOf(document, book).length} to look at`,
    wants: ({ specimen }) => (isBend(specimen.kind) ? 'a look' : 'a result'),
    // A bend that was looked at is taken as sound; what opened is typed.
    take: (document, { specimen: { id, kind } }, seen) =>
      isBend(kind)
        ? { ...document, results: { ...document.results, [id]: { ...seen, openings: [], byHand: null, note: '' } } }
        : document,
  }),
  row<'retest'>({
    is: 'retest',
    during: ['failed'],
    due: () => ({ is: 'retest' }),
    say: () => 'Plan the retest',
    lead: ({ book, document }) =>
      retestOptions(book, document.testDay)
        .map(option => option.says)
        .join('. '),
    wants: () => 'a retest',
  }),
  row<'record'>({
    is: 'record',
    during: ['passed', 'for specimens'],
    due: () => ({ is: 'record' }),
    say: () => 'Print the record',
    lead: () => 'Print the record; keep it alive by using the process',
    wants: () => 'the papers',
  }),
]

const nowOf = (document: WelderTest, book: CodeBook, read: boolean): StepNow => ({
  document,
  book,
  read,
  ...testOutcome(document, book),
})

/** The row of a step: of the hold points, the one it is at. */
const rowOf = (step: TestStep): StepRow =>
  STEPS.find(one => one.is === step.is && (step.is !== 'hold' || one.at === step.point))!

/**
 * The next step of a test.
 * @param read whether the coupon of the test has been read on the Bench
 * @example nextStep(planned, STRUCTURAL, false) // { is: 'stamp' }
 */
export function nextStep(document: WelderTest, book: CodeBook, read: boolean): TestStep {
  const now = nowOf(document, book, read)
  const due = STEPS.filter(one => one.during.includes(now.state)).map(one => one.due(now))
  return due.find(step => step !== null)!
}

/**
 * The test after a step that needs only a person who looked, and the moment. A bend is taken as sound. Steps
 * that want more leave it as it is.
 * @example takeStep(checked, { is: 'start' }, { by: 'MH', at }).startedAt // at
 */
export const takeStep = (document: WelderTest, step: TestStep, seen: Signature): WelderTest =>
  rowOf(step).take?.(document, step, seen) ?? document

/** What a step is called on the one button of the page. @example sayStep({ is: 'start' }, test) // 'Start the clock' */
export const sayStep = (step: TestStep, document: WelderTest): string => rowOf(step).say(step, document)

/** What a step takes beside a look. @example wantsOf({ is: 'read' }) // 'the Bench' */
export const wantsOf = (step: TestStep): StepWants => rowOf(step).wants(step)

/** What is to be done now, in a sentence. */
export const sayLead = (step: TestStep, document: WelderTest, book: CodeBook): string =>
  rowOf(step).lead(nowOf(document, book, true))

/** What is wrong with a test whose clock was started or stopped before a step that comes first. */
export const skippedFaults = (document: WelderTest): StepFault[] =>
  STEPS.flatMap(({ fault }) => (fault && document[fault.once] !== null && fault.open(document) ? [fault] : []))

/** Interrupts a test while its clock runs: what is being run ends there. */
export function stopTest(document: WelderTest, why: string, at: string): WelderTest {
  const runs = Object.fromEntries(
    Object.entries(document.runs).map(([id, own]) => [id, own.to === null ? { ...own, to: at } : own]),
  )
  return { ...document, runs, stops: [...document.stops, { from: at, to: null, why }] }
}
