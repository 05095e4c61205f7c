import { CAUSES, type CauseId } from './causes'

/** What a reader of coupons said of one, and what was really at work on it. */
export interface ReadCase {
  /** A chance for each of `CAUSES`, in their order. */
  readonly odds: readonly number[]
  readonly truth: readonly CauseId[]
}

/** How well a reader's odds came true over many coupons. */
export interface ReaderScore {
  /** Shares of coupons whose likeliest cause was at work, and of whose two likeliest one was. */
  readonly topOne: number
  readonly oneOfTwo: number
  /** Squared error over all causes, a coupon. */
  readonly brier: number
  /** Odds said and come true, by tenths of what was said. */
  readonly tenths: readonly { readonly said: number; readonly came: number; readonly count: number }[]
}

/** Scores a reader. Source: Brier 1950; reliability by tenths, common practice. */
export function readerScore(cases: readonly ReadCase[]): ReaderScore {
  const tenths = Array.from({ length: 10 }, () => ({ said: 0, came: 0, count: 0 }))
  let [first, two, brier] = [0, 0, 0]
  for (const { odds, truth } of cases) {
    const [likeliest, next] = odds
      .map((chance, index) => ({ chance, id: CAUSES[index]!.id }))
      .sort((a, b) => b.chance - a.chance)
    if (truth.includes(likeliest!.id)) first++
    if (truth.includes(likeliest!.id) || truth.includes(next!.id)) two++
    odds.forEach((chance, index) => {
      const came = truth.includes(CAUSES[index]!.id) ? 1 : 0
      brier += (chance - came) ** 2
      const tenth = tenths[Math.min(9, Math.floor(chance * 10))]!
      tenth.said += chance
      tenth.came += came
      tenth.count++
    })
  }
  return {
    topOne: first / cases.length,
    oneOfTwo: two / cases.length,
    brier: brier / cases.length,
    tenths: tenths.map(({ said, came, count }) => ({
      said: count === 0 ? 0 : said / count,
      came: count === 0 ? 0 : came / count,
      count,
    })),
  }
}
