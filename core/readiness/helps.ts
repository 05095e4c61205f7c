import { elementOf, type ElementId } from '../grading'
import { beginOutlook, type OutlookCase } from './outlook'

/** What a skill is worth: the odds if half of its unsound work were sound. */
export interface Help {
  readonly element: ElementId
  readonly name: string
  readonly odds: number
  /** How much the odds rise, 0 to 1. */
  readonly gain: number
}

/** Half of what is unsound now. */
const HALVED = 0.5

/**
 * Which one skill raises the odds most: each is bettered by half in turn, on the same students and the same
 * chances. Most first.
 * @param attempts for each
 */
export function whatHelps(wanted: OutlookCase, attempts: number): Help[] {
  const odds = (spared: OutlookCase['spared']) => {
    const run = beginOutlook({ ...wanted, spared })
    run.run(attempts)
    return run.result().odds
  }
  const now = odds({})
  return [...new Set(wanted.plan.tasks.map(task => task.cell.element))]
    .map(element => {
      const better = odds({ [element]: HALVED })
      return { element, name: elementOf(element).name, odds: better, gain: Math.max(0, better - now) }
    })
    .sort((a, b) => b.gain - a.gain)
}
