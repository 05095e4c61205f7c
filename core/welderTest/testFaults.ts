import { over } from '../units'
import { seamLength } from '../coupon'
import { isBend } from './specimens'
import type { CodeBook } from '../qualification/codeBook'
import { positionsQualified } from '../qualification/qualifiedPositions'
import { thicknessQualified } from '../qualification/qualifiedThickness'
import { skippedFaults } from './testSteps'
import { specimensOf, type WelderTest } from './welderTest'
import { testFaults } from '../qualification/testTaken'

/** What is wrong, and where. */
export interface TestFault {
  readonly path: string
  readonly message: string
}

/**
 * What cannot be as it stands: a piece that the book does not test, a step before the one it needs, a result on a
 * test that was not witnessed,
 * an opening outside its specimen.
 * @returns none when the document can be kept
 * @example documentFaults({ ...planned, visual }, STRUCTURAL)[0].path // 'visual'
 */
export function documentFaults(document: WelderTest, book: CodeBook): TestFault[] {
  const impossible = pieceFaults(document, book)
  return impossible.length > 0 ? impossible : [...runFaults(document), ...resultFaults(document, book)]
}

function pieceFaults({ test, piece, passes, ticket, examinedBy }: WelderTest, book: CodeBook): TestFault[] {
  const faults = testFaults(test).map(({ path, message }) => ({ path: `test.${path}`, message }))
  if (faults.length > 0) return faults
  if (test.position !== ticket.position)
    return [{ path: 'ticket.position', message: `The slip says ${ticket.position}, the test ${test.position}` }]
  if (passes.length === 0) return [{ path: 'passes', message: 'A test piece has at least one pass' }]
  if (positionsQualified(book, test) === null)
    return [{ path: 'test.position', message: `${book.name} has no ${test.position} test on ${test.form}` }]
  return [
    ...refused('test.thicknessMm', () => thicknessQualified(book, test)),
    ...refused('piece', () => {
      seamLength(piece)
      specimensOf({ test, piece, examinedBy }, book)
    }),
  ]
}

function refused(path: string, work: () => unknown): TestFault[] {
  try {
    work()
    return []
  } catch (error) {
    return [{ path, message: (error as Error).message }]
  }
}

function runFaults(document: WelderTest): TestFault[] {
  const { startedAt, endedAt, visual, holds, runs, stops, passes } = document
  const faults: TestFault[] = skippedFaults(document).map(({ path, message }) => ({ path, message }))
  const say = (path: string, message: string) => faults.push({ path, message })
  if (startedAt === null && (Object.keys(runs).length > 0 || stops.length > 0))
    say('runs', 'A pass is run while the clock runs')
  if (startedAt === null && (holds.root !== null || holds.cap !== null))
    say('holds', 'Root and cap are looked at once they are welded')
  if (endedAt !== null && (startedAt === null || endedAt < startedAt))
    say('endedAt', 'The clock stops after it was started')
  for (const [id, run] of Object.entries(runs)) {
    if (!passes.some(pass => pass.id === id)) say(`runs.${id}`, 'That pass is none of this piece’s')
    if (run.to !== null && run.to < run.from) say(`runs.${id}`, 'A pass ends after it began')
  }
  if (stops.some(stop => stop.to !== null && stop.to < stop.from)) say('stops', 'A stop ends after it began')
  if (visual !== null && endedAt === null)
    say(
      'visual',
      holds.cap === null
        ? 'A result wants a test that was witnessed and welded out'
        : 'The visual comes when the piece is welded out',
    )
  if (visual && visual.outcome !== visual.computed && visual.why.trim() === '')
    say('visual.why', 'Say why it is signed against the criteria')
  if (visual?.outcome === 'fails' && visual.failed.length === 0 && visual.why.trim() === '')
    say('visual.failed', 'Say which line failed')
  return faults
}

function resultFaults(document: WelderTest, book: CodeBook): TestFault[] {
  const faults: TestFault[] = []
  const specimens = new Map(specimensOf(document, book).map(specimen => [specimen.id, specimen]))
  for (const [id, result] of Object.entries(document.results)) {
    const say = (message: string) => faults.push({ path: `results.${id}`, message })
    const specimen = specimens.get(id)
    if (!specimen) {
      say('That specimen is none of this piece’s')
      continue
    }
    if (document.visual?.outcome !== 'passes') say('A specimen comes after a visual that passes')
    if (isBend(specimen.kind) && result.byHand !== null) say('A bend is judged by its openings')
    if (!isBend(specimen.kind) && (result.byHand === null || result.openings.length > 0))
      say(`A ${specimen.kind} is judged by hand`)
    if (specimen.kind === 'radiograph' && result.note.trim() === '')
      say('Say what the film shows, or that it shows nothing')
    if (result.openings.some(opening => !(opening.length > 0))) say('An opening has a length')
    if (result.openings.some(opening => opening.atMm < 0 || over(opening.atMm, specimen.toMm - specimen.fromMm)))
      say('An opening lies on its specimen')
  }
  return faults
}
