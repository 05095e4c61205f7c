import { SAME_MM } from '../units'
import type { CutOrder } from './cutOrder'

/** One way to cut one length of stock: how many of each wanted piece, in their order. */
export interface CutPattern {
  /** Its place among the stock lengths. */
  readonly stock: number
  readonly counts: readonly number[]
}

/** How much of a bar pieces take: each with a cut beside it, but for a last one that ends with the bar. */
export function takenMm({ pieces, kerfMm }: Pick<CutOrder, 'pieces' | 'kerfMm'>, counts: readonly number[]): number {
  const length = counts.reduce((sum, count, n) => sum + count * pieces[n]!.lengthMm, 0)
  const cut = counts.reduce((sum, count) => sum + count, 0)
  return length + Math.max(0, cut - 1) * kerfMm
}

/**
 * The most patterns that are kept for one length of stock, and the most fillings looked at on the way: a list that has
 * more is cut by the best of them.
 */
const MOST_PATTERNS = 4000
const MOST_LOOKS = 400_000

/**
 * The patterns of an order: those of each length of stock to which no piece more can be added.
 * @returns with whether they are all: if not, the best of them may not be the best there is
 */
export function patternsOf(order: CutOrder): { readonly patterns: readonly CutPattern[]; readonly all: boolean } {
  let all = true
  const patterns = order.stock.flatMap(({ lengthMm }, stock) => {
    const found = fullest(order, lengthMm)
    all &&= found.whole
    return found.fillings.map(counts => ({ stock, counts }))
  })
  return { patterns, all }
}

/** Maximal fillings of one length, the longest pieces first; and whether they are all. */
function fullest({ pieces, kerfMm }: CutOrder, barMm: number): { fillings: number[][]; whole: boolean } {
  const order = pieces.map((_, n) => n).sort((a, b) => pieces[b]!.lengthMm - pieces[a]!.lengthMm)
  const found: number[][] = []
  let looks = 0
  const counts = pieces.map(() => 0)
  /** @param roomMm what is left of the bar, a cut before each piece after the first taken off already */
  const fill = (at: number, roomMm: number) => {
    if (found.length >= MOST_PATTERNS || looks >= MOST_LOOKS) return
    looks++
    const n = order[at]
    if (n === undefined) {
      const full = pieces.every((piece, i) => counts[i]! >= piece.count || roomMm + SAME_MM < piece.lengthMm)
      if (full && counts.some(count => count > 0)) found.push([...counts])
      return
    }
    const { lengthMm, count } = pieces[n]!
    const most = Math.max(0, Math.min(count, Math.floor((roomMm + kerfMm + SAME_MM) / (lengthMm + kerfMm))))
    // As much of the last as fits goes in: less would leave room for one more.
    const least = at === order.length - 1 ? most : 0
    for (let take = most; take >= least; take--) {
      counts[n] = take
      fill(at + 1, roomMm - take * (lengthMm + kerfMm))
    }
    counts[n] = 0
  }
  fill(0, barMm)
  return { fillings: found, whole: found.length < MOST_PATTERNS && looks < MOST_LOOKS }
}
