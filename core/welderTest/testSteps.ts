import type { CodeBook } from '../qualification/codeBook'
import { isBend, type Specimen } from './specimens'
import {
  CHECKS,
  holdPointsOf,
  specimensOf,
  type CheckId,
  type HoldPoint,
  type Signature,
  type WelderTest,
} from './welderTest'
import { testStanding } from './testStanding'

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

/**
 * The next step of a test: the checklist, the fit-up, the clock, each pass, the root and the cap before whoever
 * witnesses, the reading, the specimens.
 * @param read whether the coupon of the test has been read on the Bench
 * @example nextStep(planned, STRUCTURAL, false) // { is: 'stamp' }
 */
export function nextStep(document: WelderTest, book: CodeBook, read: boolean): TestStep {
  const { stamp, checks, holds, startedAt, endedAt, passes, runs, stops } = document
  if (startedAt === null) {
    if (stamp.trim() === '') return { is: 'stamp' }
    const check = CHECKS.find(one => !checks[one])
    if (check) return { is: 'check', check }
    return holds['fit-up'] === null ? { is: 'hold', point: 'fit-up' } : { is: 'start' }
  }
  if (endedAt === null) {
    if (stops.some(stop => stop.to === null)) return { is: 'go on' }
    const open = passes.find(pass => runs[pass.id]?.to === null)
    if (open) return { is: 'end', passId: open.id }
    const rooted = passes.filter(pass => pass.role === 'root').every(pass => runs[pass.id])
    if (rooted && holds.root === null && holdPointsOf(document).includes('root')) return { is: 'hold', point: 'root' }
    const pass = passes.find(one => !runs[one.id])
    if (pass) return { is: 'begin', passId: pass.id }
    return holds.cap === null ? { is: 'hold', point: 'cap' } : { is: 'finish' }
  }
  const { state } = testStanding(document, book)
  if (state === 'for visual') return read ? { is: 'visual' } : { is: 'read' }
  if (state === 'failed') return { is: 'retest' }
  const specimen =
    state === 'for specimens'
      ? (specimensOf(document, book).find(one => !document.results[one.id]) ??
        specimensOf(document, book).find(one => document.results[one.id]!.openings.length > 0))
      : undefined
  return specimen ? { is: 'specimen', specimen } : { is: 'record' }
}

/**
 * The test after a step that needs nothing but somebody who looked, and the moment. A bend is taken as sound. Steps
 * that want more leave it as it is.
 * @example takeStep(checked, { is: 'start' }, { by: 'MH', at }).startedAt // at
 */
export function takeStep(document: WelderTest, step: TestStep, seen: Signature): WelderTest {
  const run = (passId: string, to: string | null) => ({
    ...document.runs,
    [passId]: { from: document.runs[passId]?.from ?? seen.at, to },
  })
  switch (step.is) {
    case 'check':
      return { ...document, checks: { ...document.checks, [step.check]: true } }
    case 'hold':
      return { ...document, holds: { ...document.holds, [step.point]: seen } }
    case 'start':
      return { ...document, startedAt: seen.at }
    case 'begin':
      return { ...document, runs: run(step.passId, null) }
    case 'end':
      return { ...document, runs: run(step.passId, seen.at) }
    case 'go on':
      return { ...document, stops: document.stops.map(stop => (stop.to === null ? { ...stop, to: seen.at } : stop)) }
    case 'finish':
      return { ...document, endedAt: seen.at }
    case 'specimen':
      return isBend(step.specimen.kind)
        ? {
            ...document,
            results: { ...document.results, [step.specimen.id]: { ...seen, openings: [], byHand: null, note: '' } },
          }
        : document
    default:
      return document
  }
}

/** Interrupts a test while its clock runs: what is being run ends there. */
export function stopTest(document: WelderTest, why: string, at: string): WelderTest {
  const runs = Object.fromEntries(
    Object.entries(document.runs).map(([id, run]) => [id, run.to === null ? { ...run, to: at } : run]),
  )
  return { ...document, runs, stops: [...document.stops, { from: at, to: null, why }] }
}

/** What a step is called on the one button of the page. */
export function sayStep(step: TestStep, document: WelderTest): string {
  const roleOf = (passId: string) => {
    const n = document.passes.findIndex(pass => pass.id === passId)
    return `pass ${n + 1}, ${document.passes[n]!.role}`
  }
  switch (step.is) {
    case 'stamp':
      return 'Stamp the piece'
    case 'check':
      return `Seen: ${step.check}`
    case 'hold':
      return `Witness the ${step.point}`
    case 'start':
      return 'Start the clock'
    case 'begin':
      return `Begin ${roleOf(step.passId)}`
    case 'end':
      return `End ${roleOf(step.passId)}`
    case 'go on':
      return 'Go on'
    case 'finish':
      return 'Stop the clock'
    case 'read':
      return 'Read it on the Bench'
    case 'visual':
      return 'Sign the visual'
    case 'specimen':
      return isBend(step.specimen.kind) ? `Sound: ${step.specimen.kind} bend` : `Judge the ${step.specimen.kind}`
    case 'record':
      return 'Print the record'
    case 'retest':
      return 'Plan the retest'
  }
}
