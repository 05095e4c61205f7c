/** A square table of counts: how often the first reader said the row and the second the column. */
export type AgreementTable = readonly (readonly number[])[]

export interface Kappa {
  readonly n: number
  /** Share on which both agree, and the share that chance alone would give, weighted where weights are. */
  readonly observed: number
  readonly expected: number
  /** Agreement beyond chance; null where both readers said one thing only, and chance explains all. */
  readonly kappa: number | null
  /** 95 %, held between -1 and 1: all of that where fewer than two coupons were read. */
  readonly low: number
  readonly high: number
}

export type Weights = 'none' | 'linear' | 'quadratic'

/** Student's t, two-sided 95 %, for 1 to 30 degrees of freedom. Source: the table as commonly printed. */
const T95 = [
  12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.16, 2.145, 2.131, 2.12, 2.11,
  2.101, 2.093, 2.086, 2.08, 2.074, 2.069, 2.064, 2.06, 2.056, 2.052, 2.048, 2.045, 2.042,
]
const Z95 = 1.96

/**
 * Cohen's kappa of two readers, weighted where the categories are ordered, with an interval that takes the coupons as
 * the sample: inches of one flaw and tries of one day are no independent readings. Each coupon is left out in turn
 * (Tukey's jackknife, 1958). One coupon more, of half a disagreement each way, is left out too: readers who agreed on
 * all of a few coupons may still differ on the next.
 * Source: Cohen 1960; weights Cohen 1968.
 * @param coupons a table of counts for each coupon, all square and of one size, at least 2 by 2
 * @throws RangeError when a table is not square, they differ in size, or they hold nothing
 * @example kappa([[[20, 5], [10, 15]]]).kappa // 0.4
 */
export function kappa(coupons: readonly AgreementTable[], weights: Weights = 'none'): Kappa {
  const size = coupons[0]?.length ?? 0
  if (size < 2 || coupons.some(table => table.length !== size || table.some(row => row.length !== size)))
    throw new RangeError('Tables of agreement are square, of one size, at least 2 by 2')
  const found = agreement(addTables(coupons), weights)
  return { ...found, ...leavingOneOut(coupons, found.kappa, weights) }
}

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)

/** Adds tables of one size. @example addTables([[[1, 0], [0, 1]], [[2, 0], [0, 2]]]) // [[3, 0], [0, 3]] */
export const addTables = (tables: readonly AgreementTable[]): AgreementTable =>
  tables.reduce((total, table) => total.map((row, y) => row.map((count, x) => count + table[y]![x]!)))

function agreement(table: AgreementTable, weights: Weights): Pick<Kappa, 'n' | 'observed' | 'expected' | 'kappa'> {
  const n = sum(table.flat())
  if (!(n > 0)) throw new RangeError('A table of agreement holds at least one reading')
  const share = table.map(row => row.map(count => count / n))
  const rows = share.map(sum)
  const columns = share[0]!.map((_, column) => sum(share.map(row => row[column]!)))
  const over = (cell: (row: number, column: number) => number) =>
    sum(
      rows.flatMap((_, row) =>
        columns.map((_, column) => weightOf(weights, Math.abs(row - column) / (rows.length - 1)) * cell(row, column)),
      ),
    )
  const observed = over((row, column) => share[row]![column]!)
  const expected = over((row, column) => rows[row]! * columns[column]!)
  const byChance = 1 - expected < 1e-12
  return { n, observed, expected, kappa: byChance ? null : (observed - expected) / (1 - expected) }
}

function leavingOneOut(
  coupons: readonly AgreementTable[],
  value: number | null,
  weights: Weights,
): Pick<Kappa, 'low' | 'high'> {
  if (value === null || coupons.length < 2) return { low: -1, high: 1 }
  const last = coupons[0]!.length - 1
  const doubt = coupons[0]!.map((row, y) => row.map((_, x) => (Math.abs(x - y) === last ? 1 / 2 : 0)))
  const sample = [...coupons, doubt]
  const left = sample.map((_, n) => agreement(addTables(sample.filter((_, other) => other !== n)), weights).kappa ?? 1)
  const middle = sum(left) / left.length
  const variance = ((left.length - 1) / left.length) * sum(left.map(one => (one - middle) ** 2))
  const half = (T95[coupons.length - 2] ?? Z95) * Math.sqrt(variance)
  return { low: Math.max(-1, value - half), high: Math.min(1, value + half) }
}

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
