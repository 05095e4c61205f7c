import { under, SAME_SHARE } from '../units'
/** A learning curve that is watched: failure rates that are acceptable and not, and the height at which it says so. */
export interface LcCusum {
  readonly acceptable: number
  readonly unacceptable: number
  readonly limit: number
}

/**
 * What a success and a failure add to the score.
 * Source: the learning-curve CUSUM as published for surgical training (Biau and Porcher 2010), from memory; success
 * adds, failure subtracts, never under 0.
 * @example lcCusumSteps({ acceptable: 0.1, unacceptable: 0.25, limit: 1.25 }) // { success: 0.182322, failure:
 *   -0.916291 }
 */
export function lcCusumSteps({ acceptable, unacceptable }: LcCusum): { success: number; failure: number } {
  if (!(acceptable > 0 && acceptable < unacceptable && unacceptable < 1))
    throw new RangeError('Acceptable failures are fewer than unacceptable ones, both between 0 and 1')
  return { success: Math.log((1 - acceptable) / (1 - unacceptable)), failure: Math.log(acceptable / unacceptable) }
}

/** The score after each of some tries, true for sound; it stops at the limit. */
export function lcCusumScores(watch: LcCusum, tries: readonly boolean[]): number[] {
  const { success, failure } = lcCusumSteps(watch)
  let score = 0
  return tries.map(
    sound =>
      (score = !under(score, watch.limit, SAME_SHARE) ? score : Math.max(0, score + (sound ? success : failure))),
  )
}

/**
 * The chance that the score has reached its limit within some tries, when each fails at a rate: exact, over every
 * score that can be reached.
 * @param failureRate of single tries, 0 to 1
 * @example lcCusumChance({ acceptable: 0.1, unacceptable: 0.25, limit: 1.25 }, 0.25, 50) // 0.8922
 */
export function lcCusumChance(watch: LcCusum, failureRate: number, within: number): number {
  const { success, failure } = lcCusumSteps(watch)
  const keyOf = (score: number) => Math.round(score * 1e9)
  let scores = new Map([[0, { score: 0, chance: 1 }]])
  let signalled = 0
  for (let n = 0; n < within; n++) {
    const next = new Map<number, { score: number; chance: number }>()
    for (const { score, chance } of scores.values()) {
      for (const [step, share] of [
        [success, 1 - failureRate],
        [failure, failureRate],
      ] as const) {
        const reached = Math.max(0, score + step)
        if (!under(reached, watch.limit, SAME_SHARE)) signalled += chance * share
        else {
          const there = next.get(keyOf(reached))
          next.set(keyOf(reached), { score: reached, chance: (there?.chance ?? 0) + chance * share })
        }
      }
    }
    scores = next
  }
  return signalled
}
