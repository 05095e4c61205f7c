import type { Clause, FamilyId } from './codeFamily'
import type { TestForm, TestPosition, TestWeld } from './testTaken'

/** Flat, horizontal, vertical, overhead. */
export type Welded = 'F' | 'H' | 'V' | 'O'
export const ALL_WELDED: readonly Welded[] = ['F', 'H', 'V', 'O']

/** Positions that are qualified, by what is welded. */
export interface Coverage {
  readonly plateGroove: readonly Welded[]
  readonly pipeGroove: readonly Welded[]
  readonly fillet: readonly Welded[]
}

interface Row extends Coverage, Clause {}
const of = (letters: string): Welded[] => [...letters].filter((letter): letter is Welded => ALL_WELDED.includes(letter as Welded))
const row = (plateGroove: string, fillet: string, pipeGroove: string, clause: string, remembered: Clause['remembered'] = 'sure'): Row => ({ plateGroove: of(plateGroove), fillet: of(fillet), pipeGroove: of(pipeGroove), clause, remembered })

const D11_PLATE = 'Table 4.10 (2015), 6.10 (2020)'
const D11_PIPE = 'Table 9.13 (2015), 10.12 (2020)'
const IX = 'QW-461.9'
const ISO = '5.8, Tables 9 and 10'

type Key = `${TestForm} ${TestPosition}` | `${TestForm} ${TestPosition} ${'up' | 'down'}`
type Table = Readonly<Partial<Record<Key, Row>>>

/** Source: each family's table of positions, from memory, check your copy. A 3G plate gives a horizontal groove in the structural code, and does not in the pressure code. */
const TABLES: Readonly<Record<FamilyId, Table>> = {
  structural: {
    'plate 1G': row('F', 'FH', 'F', D11_PLATE), 'plate 2G': row('FH', 'FH', 'FH', D11_PLATE), 'plate 3G': row('FHV', 'FHV', 'FHV', D11_PLATE), 'plate 4G': row('FO', 'FHO', 'FO', D11_PLATE),
    'plate 1F': row('', 'F', '', D11_PLATE), 'plate 2F': row('', 'FH', '', D11_PLATE), 'plate 3F': row('', 'FHV', '', D11_PLATE), 'plate 4F': row('', 'FHO', '', D11_PLATE),
    'pipe 1G': row('F', 'FH', 'F', D11_PIPE), 'pipe 2G': row('FH', 'FH', 'FH', D11_PIPE), 'pipe 5G': row('FVO', 'FVO', 'FVO', D11_PIPE, 'check before it decides'),
    'pipe 6G': row('FHVO', 'FHVO', 'FHVO', D11_PIPE), 'pipe 6GR': row('FHVO', 'FHVO', 'FHVO', D11_PIPE),
    'pipe 1F': row('', 'F', '', D11_PIPE), 'pipe 2F': row('', 'FH', '', D11_PIPE), 'pipe 2FR': row('', 'FH', '', D11_PIPE), 'pipe 4F': row('', 'FHO', '', D11_PIPE), 'pipe 5F': row('', 'FHVO', '', D11_PIPE),
  },
  pressure: {
    'plate 1G': row('F', 'F', 'F', IX, 'check before it decides'), 'plate 2G': row('FH', 'FH', 'FH', IX), 'plate 3G': row('FV', 'FHV', 'F', IX), 'plate 4G': row('FO', 'FHO', 'F', IX),
    'plate 1F': row('', 'F', '', IX), 'plate 2F': row('', 'FH', '', IX), 'plate 3F': row('', 'FHV', '', IX), 'plate 4F': row('', 'FHO', '', IX),
    'pipe 1G': row('F', 'F', 'F', IX), 'pipe 2G': row('FH', 'FH', 'FH', IX), 'pipe 5G': row('FVO', 'FHVO', 'FVO', IX), 'pipe 6G': row('FHVO', 'FHVO', 'FHVO', IX),
    'pipe 1F': row('', 'F', '', IX), 'pipe 2F': row('', 'FH', '', IX), 'pipe 2FR': row('', 'FH', '', IX), 'pipe 4F': row('', 'FHO', '', IX), 'pipe 5F': row('', 'FHVO', '', IX),
  },
  // PA flat, PB and PC horizontal, PF and PG vertical, PD and PE overhead. A butt weld does not cover fillets here.
  ISO: {
    'plate 1G': row('F', '', '', ISO), 'plate 2G': row('FH', '', '', ISO), 'plate 3G up': row('FV', '', '', ISO), 'plate 3G down': row('V', '', '', ISO), 'plate 4G': row('FHO', '', '', ISO),
    'plate 1F': row('', 'F', '', ISO), 'plate 2F': row('', 'FH', '', ISO), 'plate 3F up': row('', 'FHV', '', ISO), 'plate 3F down': row('', 'V', '', ISO), 'plate 4F': row('', 'FHO', '', ISO, 'check before it decides'),
    'pipe 1G': row('F', '', 'F', ISO), 'pipe 2G': row('FH', '', 'FH', ISO), 'pipe 5G up': row('FVO', '', 'FVO', ISO), 'pipe 5G down': row('FVO', '', 'FVO', ISO, 'check before it decides'),
    'pipe 6G up': row('FHVO', '', 'FHVO', ISO), 'pipe 6G down': row('FHVO', '', 'FHVO', ISO),
    'pipe 5F up': row('', 'FHVO', '', ISO, 'check before it decides'),
  },
  pipeline: {
    'pipe 2G': row('FH', 'FH', 'FH', '6.2', 'check before it decides'), 'pipe 5G': row('FVO', 'FVO', 'FVO', '6.2', 'check before it decides'), 'pipe 6G': row('FHVO', 'FHVO', 'FHVO', '6.2'),
  },
}

/**
 * The positions that one test qualifies.
 * @returns null where the family has no such test
 * @example positionsQualified('pressure', { form: 'plate', position: '3G', progression: 'up' })!.plateGroove // ['F', 'V']
 */
export function positionsQualified(family: FamilyId, { form, position, progression }: { readonly form: TestForm, readonly position: TestPosition, readonly progression: 'up' | 'down' | null }): (Coverage & Clause) | null {
  const table = TABLES[family]
  return table[`${form} ${position}`] ?? (progression ? table[`${form} ${position} ${progression}`] : undefined) ?? null
}

/** Pairs of tests that together give more than each. */
const TOGETHER: readonly { readonly family: FamilyId, readonly tests: readonly Key[], readonly gives: Row }[] = [
  { family: 'structural', tests: ['plate 3G', 'plate 4G'], gives: row('FHVO', 'FHVO', 'FHVO', D11_PLATE) },
  { family: 'structural', tests: ['plate 3F', 'plate 4F'], gives: row('', 'FHVO', '', D11_PLATE) },
  { family: 'structural', tests: ['pipe 2G', 'pipe 5G'], gives: row('FHVO', 'FHVO', 'FHVO', D11_PIPE, 'check before it decides') },
  { family: 'pressure', tests: ['plate 3G', 'plate 4G'], gives: row('FVO', 'FHVO', 'F', IX) },
  { family: 'pressure', tests: ['plate 2G', 'plate 3G', 'plate 4G'], gives: row('FHVO', 'FHVO', 'FH', IX) },
  { family: 'pressure', tests: ['plate 3F', 'plate 4F'], gives: row('', 'FHVO', '', IX) },
  { family: 'pressure', tests: ['pipe 2G', 'pipe 5G'], gives: row('FHVO', 'FHVO', 'FHVO', IX) },
  { family: 'ISO', tests: ['pipe 2G', 'pipe 5G up'], gives: row('FHVO', '', 'FHVO', ISO, 'check before it decides') },
]

/**
 * The positions that several tests of one family qualify together.
 * @example positionsTogether('structural', [threeG, fourG]).plateGroove // ['F', 'H', 'V', 'O']
 */
export function positionsTogether(family: FamilyId, tests: readonly { readonly form: TestForm, readonly weld: TestWeld, readonly position: TestPosition, readonly progression: 'up' | 'down' | null }[]): Coverage & { readonly clauses: readonly Clause[] } {
  const single = tests.flatMap(test => positionsQualified(family, test) ?? [])
  const keys = new Set<string>(tests.flatMap(test => [`${test.form} ${test.position}`, `${test.form} ${test.position} ${test.progression}`]))
  const pairs = TOGETHER.filter(pair => pair.family === family && pair.tests.every(key => keys.has(key))).map(pair => pair.gives)
  const all = [...single, ...pairs]
  const union = (which: keyof Coverage) => ALL_WELDED.filter(letter => all.some(one => one[which].includes(letter)))
  const clauses = [...new Map(all.map(({ clause, remembered }) => [clause, { clause, remembered }])).values()]
  return { plateGroove: union('plateGroove'), pipeGroove: union('pipeGroove'), fillet: union('fillet'), clauses }
}
