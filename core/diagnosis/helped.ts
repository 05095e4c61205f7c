import type { CauseId } from './causes'
import type { CauseCount, CauseCounts } from './priors'
import type { SignId } from './signTable'

/** A change that was told of a coupon and made, with the signs it was told for on the next of its kind. */
export interface MadeChange {
  readonly cause: CauseId
  /** What the model gave the cause when it was told, knowing nothing of the school, 0 to 1. */
  readonly odds: number
  readonly signs: readonly {
    readonly sign: SignId
    /** Gone, or half gone. */
    readonly gone: boolean
  }[]
}

/**
 * What changes that were made say of one cause. They count as a saying each: expected by the odds it had when it was
 * told, said by those it has now that it is known what came of it.
 */
export interface HelpedCause extends CauseCount {
  readonly made: number
  /** How many of these changes removed most of the signs that they were told for. */
  readonly helped: number
}

/** The share of signs that would not have gone by themselves and go once their cause is put right. Common practice. */
const PUT_RIGHT = 0.8
/** How often a sign goes by itself, as hands learn, where the school cannot say yet. Common practice. */
const GOES_BY_ITSELF = 0.5
/** The least share of signs that goes by itself, however few were counted. */
const SELDOM = 0.2

/** The odds of the cause once it is known what came of putting it right: Bayes' rule, a sign at a time. */
function oddsKnowing({ odds, signs }: MadeChange, alone: ReadonlyMap<SignId, number>): number {
  const times = signs.reduce((product, { sign, gone }) => {
    const byItself = Math.max(SELDOM, alone.get(sign) ?? GOES_BY_ITSELF)
    const ifRight = byItself + PUT_RIGHT * (1 - byItself)
    return product * (gone ? ifRight / byItself : 1 - PUT_RIGHT)
  }, 1)
  return (odds * times) / (1 - odds + odds * times)
}

/**
 * What changes that were made say of causes: one that helped, that its cause had been at work; one that did not, that
 * it had been another. Each counts by how far it moves what the model thought, so that what is advised often is not
 * believed the more for it.
 * @param alone how often each sign goes by itself here, 0 to 1; none where too few were ever left alone (`goneAlone`)
 * @example helpedCauses([{ cause: 'arc long', odds: 0.5, signs: [{ sign: 'spatter', gone: true }] }], new Map())
 *   // { 'arc long': { made: 1, helped: 1, said: 0.6429, expected: 0.5 } }
 */
export function helpedCauses(
  changes: readonly MadeChange[],
  alone: ReadonlyMap<SignId, number>,
): Readonly<Partial<Record<CauseId, HelpedCause>>> {
  const all: Partial<Record<CauseId, HelpedCause>> = {}
  for (const change of changes) {
    const { made, helped, said, expected } = all[change.cause] ?? { made: 0, helped: 0, said: 0, expected: 0 }
    all[change.cause] = {
      made: made + 1,
      helped: helped + (change.signs.filter(sign => sign.gone).length > change.signs.length / 2 ? 1 : 0),
      said: said + oddsKnowing(change, alone),
      expected: expected + change.odds,
    }
  }
  return all
}

/** What was said of causes and what came of putting them right, together. */
export function withHelped(counts: CauseCounts, helped: CauseCounts): CauseCounts {
  const sums: Partial<Record<CauseId, CauseCount>> = { ...counts }
  for (const [cause, { said, expected }] of Object.entries(helped) as [CauseId, CauseCount][]) {
    const before = sums[cause] ?? { said: 0, expected: 0 }
    sums[cause] = { said: before.said + said, expected: before.expected + expected }
  }
  return sums
}
