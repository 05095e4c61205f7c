import type { ElementId } from '../grading'
import type { Trial, Tried } from './trials'

/** Amounts by element, in tries or their like. */
export type ByElement = Readonly<Partial<Record<ElementId, number>>>

/**
 * What was not sound, and how much of it a test would have rejected: marks by element, for each set of visual criteria
 * by its id, and under `BURIED` what lay inside and might open in a bend.
 */
export interface Wrong {
  readonly unsound: ByElement
  readonly rejected: Readonly<Record<string, ByElement>>
  /** Lengths of bead, each as long as a try counts. */
  readonly beads: number
}

/** The name under which what may open in a bend is counted beside the sets of criteria. */
export const BURIED = 'buried'

export const NOTHING_WRONG: Wrong = { unsound: {}, rejected: {}, beads: 0 }

const plus = (sums: ByElement, element: ElementId, amount: number): ByElement => ({
  ...sums,
  [element]: (sums[element] ?? 0) + amount,
})

/**
 * Adds up what was wrong.
 * @param weightOf what a row counts for
 * @example wrongOf(rows).unsound.restart // 12
 */
export function wrongOf<Row extends Tried>(rows: readonly Row[], weightOf: (row: Row) => number = () => 1): Wrong {
  const unsound: Partial<Record<ElementId, number>> = {}
  const rejected: Record<string, ByElement> = {}
  let beads = 0
  for (const row of rows) {
    const weight = weightOf(row)
    unsound[row.element] = (unsound[row.element] ?? 0) + weight * (row.tried - row.sound)
    if (row.element === 'run') beads += weight * row.tried
    for (const [set, count] of Object.entries(row.rejected ?? {}))
      rejected[set] = plus(rejected[set] ?? {}, row.element, weight * count)
  }
  return { unsound, rejected, beads }
}

/** Recent work counts more, and a mock test double, as in a student's skill. @param today days since 1970 began */
export const recentWrong = (rows: readonly Trial[], today: number, halfLifeDays: number, mockCounts: number): Wrong =>
  wrongOf(rows, row => 0.5 ** (Math.max(0, today - row.day) / halfLifeDays) * (row.mock ? mockCounts : 1))
