import { familyOfCode, type Clause, type FamilyId } from './codeFamily'
import { sayRange } from './printedSize'
import { diameterQualified, type QualifiedDiameter } from './qualifiedDiameter'
import { fillersQualified, type QualifiedFillers } from './qualifiedFillers'
import { positionsTogether, type Coverage, type Welded } from './qualifiedPositions'
import { thicknessQualified, type QualifiedThickness } from './qualifiedThickness'
import { testFaults, type TestTaken } from './testTaken'

/** Everything that tests of one family, taken together, qualify. */
export interface Qualified {
  readonly family: FamilyId
  readonly positions: Coverage & { readonly clauses: readonly Clause[] }
  readonly thickness: readonly QualifiedThickness[]
  readonly diameters: readonly QualifiedDiameter[]
  readonly fillers: readonly QualifiedFillers[]
  readonly backing: string
  readonly progression: readonly ('up' | 'down')[]
}

const BACKING: Readonly<Record<FamilyId, readonly [withBacking: string, without: string]>> = {
  structural: ['with backing or backgouging only', 'with backing and without'],
  pressure: ['with backing, or welded from both sides', 'with backing and without'],
  ISO: ['with backing, or welded from both sides', 'with backing, without, and from both sides'],
  pipeline: ['as tested', 'as tested'],
}

/**
 * What some tests of one family qualify together.
 * @throws RangeError that says what is impossible about a test, or when they are of several families
 * @example qualifies([threeG, fourG]).positions.plateGroove // ['F', 'H', 'V', 'O'] in the structural code
 */
export function qualifies(tests: readonly TestTaken[]): Qualified {
  const [first] = tests
  if (!first) throw new RangeError('At least one test')
  if (tests.some(test => test.family !== first.family)) throw new RangeError('Tests of one family of codes at a time')
  const [fault] = tests.flatMap(testFaults)
  if (fault) throw new RangeError(fault.message)
  return {
    family: first.family, positions: positionsTogether(first.family, tests),
    thickness: tests.flatMap(thicknessQualified), diameters: tests.map(diameterQualified), fillers: tests.map(fillersQualified),
    backing: BACKING[first.family][tests.every(test => test.backing) ? 0 : 1], progression: [...new Set(tests.flatMap(test => test.progression ?? []))],
  }
}

const LETTERS: Readonly<Record<Welded, string>> = { F: 'flat', H: 'horizontal', V: 'vertical', O: 'overhead' }
const list = (letters: readonly Welded[]) => (letters.length === 4 ? 'all positions' : letters.map(letter => LETTERS[letter]).join(', '))

/**
 * What is qualified, in sentences, each with its clause.
 * @example sayQualified(qualifies([threeG]))[0] // { text: 'Grooves in plate: flat, horizontal, vertical', clause: … }
 */
export function sayQualified(qualified: Qualified): { readonly text: string, readonly clause: string, readonly remembered: Clause['remembered'] }[] {
  const { positions, thickness, diameters, fillers, backing, progression, family } = qualified
  const [positional] = positions.clauses
  const from = { clause: positions.clauses.map(row => row.clause).join('; '), remembered: positional?.remembered ?? 'check before it decides' } as const
  const unique = <T extends { text: string }>(rows: readonly T[]) => [...new Map(rows.map(row => [row.text, row])).values()]
  return unique([
    ...(positions.plateGroove.length > 0 ? [{ text: `Grooves in plate: ${list(positions.plateGroove)}`, ...from }] : []),
    ...(positions.pipeGroove.length > 0 ? [{ text: `Grooves in pipe: ${list(positions.pipeGroove)}`, ...from }] : []),
    { text: positions.fillet.length > 0 ? `Fillets: ${list(positions.fillet)}` : 'No fillets', ...from },
    ...thickness.map(row => ({ text: `${row.of === 'deposit' ? `${row.filler} deposit` : row.of === 'groove' ? 'Thickness' : 'Fillet material'}: ${sayRange(row.range)}`, clause: row.clause, remembered: row.remembered })),
    ...diameters.map(row => ({ text: row.range ? `Pipe: ${sayRange(row.range)}${row.says ? ` (${row.says})` : ''}` : `Pipe: none (${row.says})`, clause: row.clause, remembered: row.remembered })),
    ...fillers.map(row => ({ text: `Fillers: ${row.groups}${row.openRoot.length > 0 ? `; open root with ${row.openRoot.join(', ')}` : ''}`, clause: row.clause, remembered: row.remembered })),
    { text: `Backing: ${backing}`, clause: 'essential variables', remembered: 'sure' as const },
    ...(progression.length > 0 ? [{ text: `Vertical ${progression.join(' and ')}`, clause: 'essential variables', remembered: 'sure' as const }] : []),
  ]).map(row => ({ ...row, clause: `${familyOfCode(family).name} ${row.clause}` }))
}
