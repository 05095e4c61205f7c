import { elementOf, type ElementId } from '../grading'
import { seededRandom } from '../statistics'
import { attemptOdds, type Spared } from './attempt'
import { handsOf } from './hands'
import type { OutlookCase } from './outlook'

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
 * Which one skill raises the odds most: each is bettered by half in turn, on the same students, and their odds are
 * reckoned, not thrown. Most first.
 * @param students how many students are drawn whom the evidence allows
 * @example whatHelps(outlookCase(known, plan, today, 1), 200)[0] // { element: 'restart', gain: 0.12, … }
 */
export function whatHelps({ plan, seed, ...wanted }: OutlookCase, students: number): Help[] {
  const random = seededRandom(seed)
  const drawHand = handsOf({ plan, ...wanted })
  const hands = Array.from({ length: students }, () => drawHand(random).hand)
  const odds = (spared: Spared) => hands.reduce((sum, hand) => sum + attemptOdds(plan, hand, spared), 0) / students
  const now = odds({})
  return [...new Set(plan.tasks.map(task => task.cell.element))]
    .map(element => {
      const better = odds({ [element]: HALVED })
      return { element, name: elementOf(element).name, odds: better, gain: Math.max(0, better - now) }
    })
    .sort((a, b) => b.gain - a.gain)
}
