import { sayTerms } from '../integerProgram'
import type { CutOrder } from './cutOrder'
import type { CutPattern } from './patterns'

/** An offcut is used up before a new bar is begun: it counts for half of its length. */
const OFFCUT_WEIGHT = 0.5

/** What a length of stock costs a plan: its length, an offcut's counted for less. */
const costOf = ({ lengthMm, count }: CutOrder['stock'][number]) =>
  count === null ? lengthMm : OFFCUT_WEIGHT * lengthMm

/**
 * The order as an integer program in LP format: how often each pattern is cut, so that every piece is there, no more of
 * a stock length is used than there is, and the least length is taken. Gilmore and Gomory's formulation of the cutting
 * stock problem (1961).
 * @param whole false for its relaxation: patterns cut in part, which no plan can be better than
 */
export function cutModel({ pieces, stock }: CutOrder, patterns: readonly CutPattern[], whole: boolean): string {
  const sum = (terms: readonly (readonly [by: number, k: number])[]) => sayTerms(terms.map(([by, k]) => [by, `x${k}`]))
  const rows = pieces.map((piece, n) => {
    const terms = patterns.map(({ counts }, k) => [counts[n]!, k] as const).filter(([by]) => by > 0)
    return ` p${n}: ${sum(terms)} >= ${piece.count}`
  })
  const limits = stock.flatMap(({ count }, n) => {
    const terms = patterns.map((pattern, k) => [pattern.stock === n ? 1 : 0, k] as const).filter(([by]) => by > 0)
    return count === null || terms.length === 0 ? [] : [` s${n}: ${sum(terms)} <= ${count}`]
  })
  return [
    'Minimize',
    ` taken: ${sum(patterns.map((pattern, k) => [costOf(stock[pattern.stock]!), k] as const))}`,
    'Subject To',
    ...rows,
    ...limits,
    ...(whole ? ['General', ` ${patterns.map((_, k) => `x${k}`).join(' ')}`] : []),
    'End',
  ].join('\n')
}
