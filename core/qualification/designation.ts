import { round } from '../units'
import type { CodeBook } from './codeBook'
import { fillerGroup } from './qualifiedFillers'
import { processesOf, type TestTaken } from './testTaken'

const POSITIONS: Readonly<Record<string, string>> = {
  'plate 1G': 'PA',
  'plate 2G': 'PC',
  'plate 3G up': 'PF',
  'plate 3G down': 'PG',
  'plate 4G': 'PE',
  'plate 1F': 'PA',
  'plate 2F': 'PB',
  'plate 3F up': 'PF',
  'plate 3F down': 'PG',
  'plate 4F': 'PD',
  'pipe 1G': 'PA',
  'pipe 2G': 'PC',
  'pipe 5G up': 'PH',
  'pipe 5G down': 'PJ',
  'pipe 6G up': 'H-L045',
  'pipe 6G down': 'J-L045',
  'pipe 1F': 'PA',
  'pipe 2F': 'PB',
  'pipe 2FR': 'PB',
  'pipe 4F': 'PD',
  'pipe 5F up': 'PH',
  'pipe 5F down': 'PJ',
}
const NUMBERS = { SMAW: '111', GTAW: '141' } as const

/**
 * A test as ISO 9606-1 designates it. Source: ISO 9606-1:2012, clause 11, from memory; how two processes share
 * brackets varies between certificates.
 * @returns null for the other families
 * @example designationOf(ISO_9606, plate3G) // 'ISO 9606-1 111 P BW FM1 B s10 PF ss mb ml'
 */
export function designationOf(book: CodeBook, test: TestTaken): string | null {
  if (book.family !== 'ISO') return null
  const one = (value: number) => String(round(value, 1))
  const groups = [...new Set(test.fillers.map(filler => fillerGroup('covering', filler.classification)))]
  const deposits = test.fillers.length > 1 ? `(${test.fillers.map(filler => one(filler.depositMm)).join('/')})` : ''
  const size = test.weld === 'groove' ? `s${one(test.thicknessMm)}${deposits}` : `t${one(test.thicknessMm)}`
  const place =
    POSITIONS[`${test.form} ${test.position}`] ?? POSITIONS[`${test.form} ${test.position} ${test.progression}`] ?? ''
  const layers = test.fillers.reduce((sum, filler) => sum + filler.layers, 0) > 1 ? 'ml' : 'sl'
  return [
    book.name,
    processesOf(test)
      .map(process => NUMBERS[process])
      .join('/'),
    test.form === 'pipe' ? 'T' : 'P',
    test.weld === 'groove' ? 'BW' : 'FW',
    'FM1',
    groups.join('/'),
    size,
    ...(test.outsideMm === null ? [] : [`D${one(test.outsideMm)}`]),
    place,
    ...(test.weld === 'groove' ? [test.backing ? 'ss mb' : 'ss nb'] : []),
    layers,
  ]
    .filter(Boolean)
    .join(' ')
}
