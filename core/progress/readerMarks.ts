import type { ElementId } from '../grading'
import { logistic, logit, mean } from '../statistics'
import type { SchoolCurves } from './standing'
import type { Wrong } from './wrong'

/** What is judged by eye; what a gauge reads does not go by who holds it. */
const BY_EYE: readonly ElementId[] = ['start', 'restart', 'tie-in', 'run', 'root', 'toes', 'ends']

/** Of the faults that a school's readings are reckoned at, the share that a reader marks: 1 for just as many. */
export interface MarkedShare {
  readonly share: number
  readonly low: number
  readonly high: number
}

/** How much one reader marks, in all and by element. */
export interface ReaderMarks {
  readonly reader: string
  readonly all: MarkedShare
  readonly elements: readonly (MarkedShare & { readonly element: ElementId })[]
}

interface Amount {
  readonly element: ElementId
  /** Unsound at the school's level, as the reader finds it, and how unsure that is; in tries. */
  readonly level: number
  readonly found: number
  readonly deviation: number
}

/** Half the width of a 95 % interval, in standard deviations. */
const REACH = 1.959964

/**
 * How much each of a school's readers marks beside the level that its readings are reckoned at, from its curves and
 * what its coupons had wrong.
 * @returns none while fewer than two people have read; by how much they mark, least first
 * @example readerMarks(curves, wrong)[0] // { reader: …, all: { share: 0.6, low: 0.5, high: 0.7 }, elements: … }
 */
export function readerMarks(curves: SchoolCurves, wrong: Wrong): ReaderMarks[] {
  const readers = [...new Set(BY_EYE.flatMap(element => Object.keys(curves[element]?.readers ?? {})))]
  if (readers.length < 2) return []
  return readers
    .map(reader => {
      const amounts = BY_EYE.flatMap(element => amountOf(curves, wrong, element, reader))
      return {
        reader,
        all: shareOf(amounts),
        elements: amounts.map(amount => ({ element: amount.element, ...shareOf([amount]) })),
      }
    })
    .sort((a, b) => a.all.share - b.all.share)
}

function amountOf(curves: SchoolCurves, wrong: Wrong, element: ElementId, reader: string): Amount[] {
  const offsets = curves[element]?.readers ?? {}
  const own = offsets[reader]
  const rows = wrong.filter(row => row.element === element)
  const sum = (of: 'tried' | 'unsound') => rows.reduce((total, row) => total + row[of], 0)
  const [tried, unsound] = [sum('tried'), sum('unsound')]
  if (!own || tried === 0) return []
  const asRead = logit((tried - unsound + 0.5) / (tried + 1))
  const atLevel = asRead - mean(Object.values(offsets).map(offset => offset.mean))
  const found = logistic(atLevel + own.mean)
  return [
    {
      element,
      level: tried * (1 - logistic(atLevel)),
      found: tried * (1 - found),
      deviation: tried * found * (1 - found) * own.deviation,
    },
  ]
}

function shareOf(amounts: readonly Amount[]): MarkedShare {
  const level = amounts.reduce((sum, amount) => sum + amount.level, 0)
  const share = amounts.reduce((sum, amount) => sum + amount.found, 0) / level
  const reach = (REACH * Math.sqrt(amounts.reduce((sum, amount) => sum + amount.deviation ** 2, 0))) / level
  return { share, low: Math.max(0, share - reach), high: share + reach }
}
