import { over, SAME_MM } from '../units'
import type { CutOrder } from './cutOrder'
import { takenMm, type CutPattern } from './patterns'

/** One bar as it is cut: pieces from its end on, and what is left. Lengths in mm. */
export interface CutBar {
  /** Its place among the stock lengths. */
  readonly stock: number
  readonly lengthMm: number
  readonly pieces: readonly { readonly name: string; readonly fromMm: number; readonly lengthMm: number }[]
  readonly leftMm: number
  /** What is left is long enough to be kept. */
  readonly keeps: boolean
}

export interface CutPlan {
  readonly bars: readonly CutBar[]
  /** Bars and offcuts that are begun. */
  readonly begun: number
  /** Length that ends as chips and as what is too short to keep, mm. */
  readonly wasteMm: number
  readonly keptMm: number
}

/**
 * The bars of a plan: each pattern as often as it is cut. Pieces over what was asked for are left on the bar, where
 * they make the offcut longer.
 * @param times how often each pattern is cut
 * @throws RangeError where that is less than was asked for
 */
export function planOf(order: CutOrder, patterns: readonly CutPattern[], times: readonly number[]): CutPlan {
  const left = order.pieces.map(piece => piece.count)
  const bars: CutBar[] = []
  for (const [k, pattern] of patterns.entries())
    for (let n = 0; n < (times[k] ?? 0); n++) {
      const counts = pattern.counts.map((count, i) => Math.min(count, left[i]!))
      if (counts.every(count => count === 0)) continue
      for (const [i, count] of counts.entries()) left[i]! -= count
      bars.push(barOf(order, pattern.stock, counts))
    }
  if (left.some(count => count > 0)) throw new RangeError('The plan cuts less than was asked for')
  const chips = bars.reduce((sum, bar) => sum + bar.lengthMm - bar.leftMm, 0) - lengthOf(order)
  const keptMm = bars.reduce((sum, bar) => sum + (bar.keeps ? bar.leftMm : 0), 0)
  const shortMm = bars.reduce((sum, bar) => sum + (bar.keeps ? 0 : bar.leftMm), 0)
  return { bars, begun: bars.length, wasteMm: chips + shortMm, keptMm }
}

const lengthOf = ({ pieces }: CutOrder) => pieces.reduce((sum, piece) => sum + piece.count * piece.lengthMm, 0)

function barOf(order: CutOrder, stock: number, counts: readonly number[]): CutBar {
  const { lengthMm } = order.stock[stock]!
  const names = order.pieces
    .flatMap((piece, i) => Array.from({ length: counts[i]! }, () => piece))
    .sort((a, b) => b.lengthMm - a.lengthMm)
  let at = 0
  const pieces = names.map(piece => {
    const from = at
    at += piece.lengthMm + order.kerfMm
    return { name: piece.name, fromMm: from, lengthMm: piece.lengthMm }
  })
  // Cut off from what is left as well, unless nothing is.
  const taken = takenMm(order, counts)
  const leftMm = Math.max(0, lengthMm - taken - (over(lengthMm, taken) ? order.kerfMm : 0))
  return { stock, lengthMm, pieces, leftMm, keeps: leftMm + SAME_MM >= order.leastOffcutMm && leftMm > 0 }
}

/**
 * A plan by hand: the longest piece first, into the first bar where it fits; offcuts before new bars. What a plan is
 * never worse than. Source: first fit decreasing, common practice.
 * @returns null where there is not enough to cut from
 */
export function planByHand(order: CutOrder): CutPlan | null {
  const { kerfMm } = order
  const pieces = order.pieces
    .flatMap((piece, i) => Array.from({ length: piece.count }, () => ({ i, lengthMm: piece.lengthMm })))
    .sort((a, b) => b.lengthMm - a.lengthMm)
  const open: { stock: number; roomMm: number; counts: number[] }[] = []
  const begin = (lengthMm: number) => {
    const used = (n: number) => open.filter(bar => bar.stock === n).length
    // Offcuts first, the shortest in which it fits; then the longest bar there is.
    const fits = order.stock
      .map((one, stock) => ({ ...one, stock }))
      .filter(one => !over(lengthMm, one.lengthMm) && (one.count === null || used(one.stock) < one.count))
      .sort((a, b) => Number(a.count === null) - Number(b.count === null) || a.lengthMm - b.lengthMm)
    const first = fits.find(one => one.count !== null) ?? fits.at(-1)
    if (!first) return null
    const bar = { stock: first.stock, roomMm: first.lengthMm, counts: order.pieces.map(() => 0) }
    open.push(bar)
    return bar
  }
  for (const { i, lengthMm } of pieces) {
    const bar = open.find(one => !over(lengthMm, one.roomMm)) ?? begin(lengthMm)
    if (!bar) return null
    bar.counts[i]!++
    bar.roomMm -= lengthMm + kerfMm
  }
  const patterns = open.map(({ stock, counts }) => ({ stock, counts }))
  return planOf(
    order,
    patterns,
    patterns.map(() => 1),
  )
}
