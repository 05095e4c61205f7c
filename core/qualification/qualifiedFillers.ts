import { electrodeOf, ELECTRODES } from '../trade'
import type { Clause } from './codeFamily'
import type { TestTaken } from './testTaken'

/** Fillers that are qualified, by group, with backing and without. */
export interface QualifiedFillers extends Clause {
  readonly groups: string
  readonly withBacking: readonly string[]
  readonly openRoot: readonly string[]
}

const classesUpTo = (f: number) => ELECTRODES.filter(row => row.fNumber <= f).map(row => row.classification)
const classesOf = (f: number) => ELECTRODES.filter(row => row.fNumber === f).map(row => row.classification)

/** ISO coverings by classification: cellulosic C, basic B, all else the rutile and acid group. */
const covering = (classification: string): 'A to R' | 'B' | 'C' => ({ 'low hydrogen': 'B', 'cellulosic': 'C' } as const)[electrodeOf(classification).family as string] ?? 'A to R'
const byCovering = (...coverings: readonly string[]) => ELECTRODES.filter(row => coverings.includes(covering(row.classification))).map(row => row.classification)
const isStick = (classification: string) => ELECTRODES.some(row => row.classification === classification)

/**
 * The fillers that a test qualifies. A fill over a root welded from one side counts as welded with backing.
 * @example fillersQualified(openRootWithE6010AndE7018).openRoot // ['E6010', 'E6011'] in the pressure code
 */
export function fillersQualified(test: TestTaken): QualifiedFillers {
  const sticks = test.fillers.filter(filler => isStick(filler.classification))
  const numbers = sticks.map(filler => ({ f: electrodeOf(filler.classification).fNumber, open: filler.root && !test.backing }))
  switch (test.family) {
    case 'structural': {
      const most = Math.max(0, ...numbers.map(row => row.f))
      const classes = classesUpTo(most)
      return { groups: `F${most} and lower`, withBacking: classes, openRoot: test.backing ? [] : classes, clause: 'Table 4.13 (2015), 6.13 (2020)', remembered: 'sure' }
    }
    case 'pressure': {
      const backed = Math.max(0, ...numbers.map(row => row.f))
      const open = numbers.filter(row => row.open)
      return {
        groups: numbers.map(row => `F${row.f} ${row.open ? 'without' : 'with'} backing`).join(', '), withBacking: classesUpTo(backed),
        openRoot: ELECTRODES.filter(row => open.some(one => one.f === row.fNumber || (one.f === 1 && row.fNumber === 1))).map(row => row.classification),
        clause: 'QW-433', remembered: 'sure',
      }
    }
    case 'ISO': {
      const used = new Set(sticks.map(filler => covering(filler.classification)))
      const covers = new Set([...used].flatMap(one => (one === 'B' ? ['B', 'A to R'] : [one])))
      const root = sticks.find(filler => filler.root)
      return {
        groups: [...covers].join(', '), withBacking: byCovering(...covers), openRoot: test.backing || !root ? [] : byCovering(covering(root.classification)),
        clause: '5.6, Tables 4 and 5', remembered: 'check before it decides',
      }
    }
    case 'pipeline': {
      const groups = [...new Set(numbers.map(row => (row.f === 3 ? 1 : 3)))]
      const classes = groups.flatMap(group => classesOf(group === 1 ? 3 : 4))
      return { groups: `groups ${groups.join(' and ')}`, withBacking: classes, openRoot: classes, clause: '6.2.2, Table 1', remembered: 'check before it decides' }
    }
  }
}
