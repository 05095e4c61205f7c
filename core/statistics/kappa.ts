/** A square table of counts: how often the first reader said the row and the second the column. */
export type AgreementTable = readonly (readonly number[])[]

export interface Kappa {
  readonly n: number
  /** Share on which both agree, and the share that chance alone would give, weighted where weights are. */
  readonly observed: number
  readonly expected: number
  /** Agreement beyond chance; null where both readers said one thing only, and chance explains all. */
  readonly kappa: number | null
  /** Large-sample standard error, for an interval. */
  readonly standardError: number
  /** 95 %, held between -1 and 1. */
  readonly low: number
  readonly high: number
}

export type Weights = 'none' | 'linear' | 'quadratic'

const Z95 = 1.959963984540054

/**
 * Cohen's kappa of two readers, weighted where the categories are ordered.
 * Source: Cohen 1960; weights Cohen 1968; standard error Fleiss, Cohen and Everitt 1969.
 * @param table counts, square, at least 2 by 2
 * @throws RangeError when the table is not square or holds nothing
 * @example kappa([[20, 5], [10, 15]]).kappa // 0.4
 */
export function kappa(table: AgreementTable, weights: Weights = 'none'): Kappa {
  const size = table.length
  if (size < 2 || table.some(row => row.length !== size))
    throw new RangeError('A table of agreement is square, at least 2 by 2')
  const n = sum(table.flat())
  if (!(n > 0)) throw new RangeError('A table of agreement holds at least one reading')
  const share = table.map(row => row.map(count => count / n))
  const rows = share.map(sum)
  const columns = share[0]!.map((_, column) => sum(share.map(row => row[column]!)))
  const weight = (row: number, column: number) => weightOf(weights, Math.abs(row - column) / (size - 1))
  const over = (cell: (row: number, column: number) => number) =>
    sum(rows.flatMap((_, row) => columns.map((_, column) => cell(row, column))))
  const observed = over((row, column) => weight(row, column) * share[row]![column]!)
  const expected = over((row, column) => weight(row, column) * rows[row]! * columns[column]!)
  if (1 - expected < 1e-12) return { n, observed, expected, kappa: null, standardError: 0, low: -1, high: 1 }
  const value = (observed - expected) / (1 - expected)
  const rowMean = rows.map((_, row) => sum(columns.map((part, column) => part * weight(row, column))))
  const columnMean = columns.map((_, column) => sum(rows.map((part, row) => part * weight(row, column))))
  const spread = over(
    (row, column) =>
      share[row]![column]! * (weight(row, column) - (rowMean[row]! + columnMean[column]!) * (1 - value)) ** 2,
  )
  const standardError = Math.sqrt(Math.max(0, spread - (value - expected * (1 - value)) ** 2) / n) / (1 - expected)
  return {
    n,
    observed,
    expected,
    kappa: value,
    standardError,
    low: Math.max(-1, value - Z95 * standardError),
    high: Math.min(1, value + Z95 * standardError),
  }
}

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)

function weightOf(weights: Weights, apart: number): number {
  if (weights === 'linear') return 1 - apart
  if (weights === 'quadratic') return 1 - apart ** 2
  return apart === 0 ? 1 : 0
}

/** What kappa is called. Convention only (Landis and Koch 1977), and said to be. */
export function sayKappa(value: number | null): string {
  if (value === null) return 'too alike to say'
  if (value < 0) return 'worse than chance'
  return ['slight', 'fair', 'moderate', 'substantial', 'almost perfect'][Math.min(4, Math.floor(value * 5 + 1e-9))]!
}
