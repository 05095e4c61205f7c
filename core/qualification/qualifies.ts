import { clauseIn, type Clause, type CodeBook, type Coverage, type Welded } from './codeBook'
import { sayPrintedRange } from './printedSize'
import { diameterQualified, type QualifiedDiameter } from './qualifiedDiameter'
import { fillersQualified, type QualifiedFillers } from './qualifiedFillers'
import { positionsQualified, positionsTogether } from './qualifiedPositions'
import { thicknessQualified, type QualifiedThickness } from './qualifiedThickness'
import { testFaults, type TestTaken } from './testTaken'

/** Everything that tests of one book, taken together, qualify. */
export interface Qualified {
  readonly book: CodeBook
  readonly positions: Coverage & { readonly clauses: readonly Clause[] }
  readonly thickness: readonly QualifiedThickness[]
  readonly diameters: readonly QualifiedDiameter[]
  readonly fillers: readonly QualifiedFillers[]
  readonly backing: string
  readonly progression: readonly ('up' | 'down')[]
}

/**
 * What some tests qualify together by a book.
 * @throws RangeError that says what is impossible about a test, or that the book has no such test
 * @example qualifies(STRUCTURAL, [threeG, fourG]).positions.plateGroove // ['F', 'H', 'V', 'O']
 */
export function qualifies(book: CodeBook, tests: readonly TestTaken[]): Qualified {
  if (tests.length === 0) throw new RangeError('At least one test')
  const [fault] = tests.flatMap(testFaults)
  if (fault) throw new RangeError(fault.message)
  const foreign = tests.find(test => positionsQualified(book, test) === null)
  if (foreign) throw new RangeError(`${book.name} has no ${foreign.position} test on ${foreign.form}`)
  return {
    book,
    positions: positionsTogether(book, tests),
    thickness: tests.flatMap(test => thicknessQualified(book, test)),
    diameters: tests.map(test => diameterQualified(book, test)),
    fillers: tests.map(test => fillersQualified(book, test)),
    backing: book.backing[tests.every(test => test.backing) ? 'with' : 'without'],
    progression: [...new Set(tests.flatMap(test => test.progression ?? []))],
  }
}

/** A statement of what is qualified, with where it is written. */
export interface Qualification {
  readonly about: 'positions' | 'thickness' | 'diameter' | 'fillers' | 'backing' | 'progression'
  readonly text: string
  readonly clause: string
  readonly remembered: Clause['remembered']
}

const LETTERS: Readonly<Record<Welded, string>> = { F: 'flat', H: 'horizontal', V: 'vertical', O: 'overhead' }
/** Positions in words. @example sayPositions(['F', 'H']) // 'flat, horizontal' */
export const sayPositions = (letters: readonly Welded[]): string =>
  letters.length === 4
    ? 'all positions'
    : letters.length === 0
      ? 'none'
      : letters.map(letter => LETTERS[letter]).join(', ')

/** Grades from surest to least sure, for statements that rest on several lines. */
const LESS_SURE: readonly Clause['remembered'][] = ['checked', 'sure', 'check before it decides', 'may be wrong']
const leastSure = (clauses: readonly Clause[]) =>
  LESS_SURE[Math.max(0, ...clauses.map(row => LESS_SURE.indexOf(row.remembered)))]!

function ofWhat({ of, filler }: Qualified['thickness'][number]): string {
  if (of === 'deposit') return `${filler} deposit`
  return of === 'groove' ? 'Thickness' : 'Fillet material'
}

/**
 * What is qualified, in sentences, each with its clause.
 * @example sayQualified(qualifies(STRUCTURAL, [threeG]))[0].text // 'Grooves in plate: flat, horizontal, vertical'
 */
export function sayQualified(qualified: Qualified): Qualification[] {
  const { book, positions, thickness, diameters, fillers, backing, progression } = qualified
  const from = {
    clause: positions.clauses.map(row => clauseIn(book, row)).join('; '),
    remembered: leastSure(positions.clauses),
  }
  const said = (about: Qualification['about'], text: string, row: Clause): Qualification => ({
    about,
    text,
    clause: clauseIn(book, row),
    remembered: row.remembered,
  })
  const all: Qualification[] = [
    ...(positions.plateGroove.length > 0
      ? [{ about: 'positions' as const, text: `Grooves in plate: ${sayPositions(positions.plateGroove)}`, ...from }]
      : []),
    ...(positions.pipeGroove.length > 0
      ? [{ about: 'positions' as const, text: `Grooves in pipe: ${sayPositions(positions.pipeGroove)}`, ...from }]
      : []),
    {
      about: 'positions',
      text: positions.fillet.length > 0 ? `Fillets: ${sayPositions(positions.fillet)}` : 'No fillets',
      ...from,
    },
    ...thickness.map(row => said('thickness', `${ofWhat(row)}: ${sayPrintedRange(row.range)}`, row)),
    ...diameters
      .filter(row => row.range)
      .map(row => said('diameter', `Pipe: ${sayPrintedRange(row.range!)}${row.says ? ` (${row.says})` : ''}`, row)),
    ...fillers.map(row =>
      said(
        'fillers',
        `Fillers: ${row.groups}${row.openRoot.length > 0 ? `; open root with ${row.openRoot.join(', ')}` : ''}`,
        row,
      ),
    ),
    said('backing', `Backing: ${backing}`, book.backing),
    ...(progression.length > 0
      ? [said('progression', `Vertical ${progression.join(' and ')}: ${book.progression.says}`, book.progression)]
      : []),
  ]
  return [...new Map(all.map(row => [row.text, row])).values()]
}
