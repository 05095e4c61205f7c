import type { ElementId } from '../grading'
import type { Work } from '../trade'
import type { Trial, Tried } from './trials'

/** What was wrong with one element on one kind of work. Amounts in tries or their like: a length of bead is one. */
export interface WrongRow {
  readonly element: ElementId
  readonly work: Work
  readonly tried: number
  readonly unsound: number
  /**
   * Marks that a test would have rejected, by the id of its visual criteria, and under `BURIED` what lay inside and
   * might open in a bend.
   */
  readonly rejected: Readonly<Record<string, number>>
}

/**
 * What was not sound, and how much of it a test would have rejected. Kept apart by the kind of work: what lies on a
 * pad runs along the whole of a bead, and a gauge reads other things on a fillet than on a groove.
 */
export type Wrong = readonly WrongRow[]

/** The name under which what may open in a bend is counted beside the sets of criteria. */
export const BURIED = 'buried'

export const NOTHING_WRONG: Wrong = []

/** A row while it is added up: a school's history has tens of thousands. */
type WrongSum = Pick<WrongRow, 'element' | 'work'> & {
  tried: number
  unsound: number
  readonly rejected: Record<string, number>
}

/**
 * Adds up what was wrong.
 * @param weightOf what a row counts for
 * @example wrongOf(rows).find(row => row.element === 'restart' && row.work === 'groove')?.unsound // 12
 */
export function wrongOf<Row extends Tried>(rows: readonly Row[], weightOf: (row: Row) => number = () => 1): Wrong {
  const sums = new Map<string, WrongSum>()
  for (const row of rows) {
    const { element, work } = row
    const key = `${element} ${work}`
    const weight = weightOf(row)
    const sum = sums.get(key) ?? { element, work, tried: 0, unsound: 0, rejected: {} }
    sums.set(key, sum)
    sum.tried += weight * row.tried
    sum.unsound += weight * (row.tried - row.sound)
    for (const set in row.rejected) sum.rejected[set] = (sum.rejected[set] ?? 0) + weight * row.rejected[set]!
  }
  return [...sums.values()]
}

/** Recent work counts more, and a mock test double, as in a student's skill. @param today days since 1970 began */
export const recentWrong = (rows: readonly Trial[], today: number, halfLifeDays: number, mockCounts: number): Wrong =>
  wrongOf(rows, row => 0.5 ** (Math.max(0, today - row.day) / halfLifeDays) * (row.mock ? mockCounts : 1))
