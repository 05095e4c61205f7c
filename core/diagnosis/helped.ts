import type { CauseId } from './causes'
import type { CauseSurprise } from './priors'

/** A change that was told of a coupon and made, with the signs it was told for on the next of its kind. */
export interface MadeChange {
  readonly cause: CauseId
  /** What the model gave the cause when it was told, knowing nothing of the school, 0 to 1. */
  readonly odds: number
  readonly seen: number
  /** How many of them were gone, or half gone. */
  readonly gone: number
}

/** What changes that were made say of one cause. */
export interface HelpedCause {
  readonly made: number
  /** After how many most of what it was told for was gone. */
  readonly helped: number
  /** How much more the model would have thought of it, had it known; under 0 where less. */
  readonly surprise: number
}

/**
 * How often a sign goes once its cause is put right, and how often by itself, as hands learn, where the change that was
 * made was another. Common practice.
 */
const GONE = { putRight: 0.9, byItself: 0.5 } as const

/** The odds of the cause once it is known what came of putting it right: Bayes' rule, a sign at a time. */
function oddsKnowing({ odds, seen, gone }: MadeChange): number {
  const times = (GONE.putRight / GONE.byItself) ** gone * ((1 - GONE.putRight) / (1 - GONE.byItself)) ** (seen - gone)
  return (odds * times) / (1 - odds + odds * times)
}

/**
 * What changes that were made say of causes: one that helped, that its cause had been at work; one that did not, that
 * it had been another. Each counts by how far it moves what the model thought, so that what is advised often is not
 * believed the more for it.
 * @example helpedCauses([{ cause: 'arc long', odds: 0.5, seen: 1, gone: 1 }])
 *   // { 'arc long': { made: 1, helped: 1, surprise: 0.1429 } }
 */
export function helpedCauses(changes: readonly MadeChange[]): Readonly<Partial<Record<CauseId, HelpedCause>>> {
  const all: Partial<Record<CauseId, HelpedCause>> = {}
  for (const change of changes) {
    const { made, helped, surprise } = all[change.cause] ?? { made: 0, helped: 0, surprise: 0 }
    all[change.cause] = {
      made: made + 1,
      helped: helped + (change.gone > change.seen / 2 ? 1 : 0),
      surprise: surprise + oddsKnowing(change) - change.odds,
    }
  }
  return all
}

/**
 * What was said of causes and what came of putting them right, together. A change that did not help takes back what was
 * said of its cause, and no more.
 */
export function withHelped(
  said: CauseSurprise,
  helped: Readonly<Partial<Record<CauseId, HelpedCause>>>,
): CauseSurprise {
  const sums: Partial<Record<CauseId, number>> = { ...said }
  for (const [cause, { surprise }] of Object.entries(helped) as [CauseId, HelpedCause][])
    sums[cause] = Math.max(0, (sums[cause] ?? 0) + surprise)
  return sums
}
