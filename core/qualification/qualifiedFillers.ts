import { electrodeOf, ELECTRODES, FILLER_RODS, type RodFamily } from '../trade'
import type { Clause, CodeBook, FillerGrouping } from './codeBook'
import { processOf, type TestTaken } from './testTaken'

/** Fillers that are qualified, by group, with backing and without. */
export interface QualifiedFillers extends Clause {
  readonly groups: string
  readonly withBacking: readonly string[]
  readonly openRoot: readonly string[]
}

/** F-number of austenitic stainless electrodes. */
const STAINLESS = 5

/** ISO coverings: cellulosic C, basic B, all else the rutile and acid group R; bare wire S. */
const COVERINGS: Readonly<Record<RodFamily, string>> = {
  'low hydrogen': 'B',
  'cellulosic': 'C',
  'rutile': 'R',
  'high deposition': 'R',
  'GTAW wire': 'S',
}

/**
 * The group that a filler is of.
 * @throws RangeError for a filler that is not kept
 * @example fillerGroup('F-number', 'E7018') // 'F4'
 */
export function fillerGroup(grouping: FillerGrouping, classification: string): string {
  const wire = processOf(classification) === 'GTAW'
  switch (grouping) {
    case 'F-number':
      return wire ? 'F6' : `F${electrodeOf(classification).fNumber}`
    case 'covering': {
      if (wire) return 'S'
      const { family, fNumber } = electrodeOf(classification)
      // Stainless is another group of filler material, with any covering.
      return fNumber === STAINLESS ? `FM5-${COVERINGS[family]}` : COVERINGS[family]
    }
    case 'pipeline group':
      return wire ? 'wire' : (electrodeOf(classification).pipelineGroup ?? 'none')
  }
}

const ALL_FILLERS = [...ELECTRODES, ...FILLER_RODS].map(row => row.classification)

/**
 * The fillers that a test qualifies. A fill over a root welded from one side counts as welded with backing.
 * @example fillersQualified(PRESSURE, openRootWithE6010AndE7018).openRoot // ['E6010', 'E6011']
 */
export function fillersQualified({ fillers: { grouping, rows } }: CodeBook, test: TestTaken): QualifiedFillers {
  const used = test.fillers.map(filler => ({
    group: fillerGroup(grouping, filler.classification),
    backing: filler.root && !test.backing ? ('without' as const) : ('with' as const),
  }))
  const found = used.flatMap(
    ({ group, backing }) =>
      rows.find(row => row.tested === group && (row.backing === 'any' || row.backing === backing)) ?? [],
  )
  const of = (groups: readonly string[]) =>
    ALL_FILLERS.filter(classification => groups.includes(fillerGroup(grouping, classification)))
  const groups = [...new Set(found.flatMap(row => row.withBacking))].sort().reverse()
  const [first] = found
  return {
    groups: groups.length > 0 ? groups.join(', ') : 'none of this book',
    withBacking: of(groups),
    openRoot: test.backing || test.weld === 'fillet' ? [] : of(found.flatMap(row => row.openRoot)),
    clause: first?.clause ?? '',
    remembered: first?.remembered ?? 'check before it decides',
  }
}
