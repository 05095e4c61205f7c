import { elementOf, type ElementId } from '../grading'
import { binomialInterval, type Interval } from '../statistics'

/** A rate as it may be shown: never bare, always with its count and, for counted tries, its interval. */
export interface Rate {
  readonly tried: number
  readonly sound: number
  readonly share: number
  /** Exact 95 % interval; null for lengths, which are not independent tries. */
  readonly interval: Interval | null
  /** True when there is too little to say a percentage aloud. */
  readonly few: boolean
}

/** Below this many tries a percentage is not shown. Common practice. */
export const FEW_TRIES = 5

/** Below this much bead a share of length is not shown, mm. Common practice: two feet. */
export const FEW_MM = 609.6

/**
 * The rate of an element from its summed evidence.
 * @param tried tries, or mm for elements measured by length
 * @returns null when nothing was tried
 * @example rateOf('restart', 3, 2).few // true
 */
export function rateOf(element: ElementId, tried: number, sound: number): Rate | null {
  if (tried <= 0) return null
  const byLength = elementOf(element).counted === 'mm'
  return {
    tried,
    sound,
    share: sound / tried,
    interval: byLength ? null : binomialInterval(Math.round(sound), Math.round(tried)),
    few: tried < (byLength ? FEW_MM : FEW_TRIES),
  }
}
