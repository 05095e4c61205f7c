import { cholesky, solveByFactor } from './cholesky'
import { logistic } from './logistic'

/**
 * Tries at one place of a model: how many were tried and how many sound (fractions are weights), and what the chance of
 * a sound one depends on.
 */
export interface LogisticRow {
  readonly x: readonly number[]
  readonly tried: number
  readonly sound: number
}

/** What is believed of the coefficients: their most likely values, and their covariance there (Laplace). */
export interface LogisticBelief {
  readonly mean: readonly number[]
  readonly covariance: readonly (readonly number[])[]
}

const STEPS = 100
const SETTLED = 1e-8
/** A step is halved until it betters the fit, so often at most; then what is left to gain is rounding. */
const HALVINGS = 40
/** A fit that is bettered by less than this share of itself is bettered by rounding. */
const SAME_FIT = 1e-13

/**
 * The values that are not 0, row after row, and where in its row each stands: most only say which of many kinds a row
 * is, or whose. A row's own begin at its `from`.
 */
function withoutZeros(rows: readonly LogisticRow[]) {
  const most = rows.reduce((sum, row) => sum + row.x.length, 0)
  const at = new Uint32Array(most)
  const values = new Float64Array(most)
  const from = new Uint32Array(rows.length + 1)
  let next = 0
  rows.forEach(({ x }, n) => {
    for (let i = 0; i < x.length; i++) {
      if (x[i] === 0) continue
      at[next] = i
      values[next++] = x[i]!
    }
    from[n + 1] = next
  })
  return { at, values, from }
}

/**
 * Logistic regression with independent normal priors, by Newton's method with a line search; the posterior is taken as
 * normal at its mode.
 * Source: penalised maximum likelihood, as in any text (McCullagh and Nelder 1989); checked against the closed form
 * of one coefficient.
 * @param prior mean and standard deviation of each coefficient
 * @throws RangeError when a row has another number of values than there are priors, or the fit does not settle
 * @example fitLogistic([{ x: [1], tried: 10, sound: 8 }], [{ mean: 0, deviation: 1e3 }]).mean[0] // 1.386, the
 *   logit of 0.8
 */
export function fitLogistic(
  rows: readonly LogisticRow[],
  prior: readonly { readonly mean: number; readonly deviation: number }[],
): LogisticBelief {
  const size = prior.length
  if (rows.some(row => row.x.length !== size)) throw new RangeError(`Every row has ${size} values`)
  const filled = withoutZeros(rows)
  const precision = prior.map(({ deviation }) => 1 / deviation ** 2)
  let mean = prior.map(row => row.mean)
  let factor = cholesky(precision.map((value, i) => precision.map((_, j) => (i === j ? value : 0))))
  const logitAt = (coefficients: readonly number[], n: number): number => {
    let logit = 0
    for (let k = filled.from[n]!; k < filled.from[n + 1]!; k++)
      logit += filled.values[k]! * coefficients[filled.at[k]!]!
    return logit
  }
  /** Logarithm of the posterior, but for a constant. */
  const fitOf = (coefficients: readonly number[]): number => {
    let sum = 0
    for (let i = 0; i < size; i++) sum -= (precision[i]! * (coefficients[i]! - prior[i]!.mean) ** 2) / 2
    for (let n = 0; n < rows.length; n++) {
      const logit = logitAt(coefficients, n)
      // The logarithm of the chance of an unsound one, without overflow.
      const logUnsound = -(Math.max(0, logit) + Math.log1p(Math.exp(-Math.abs(logit))))
      sum += rows[n]!.tried * logUnsound + rows[n]!.sound * logit
    }
    return sum
  }
  let fit = fitOf(mean)
  for (let step = 0; ; step++) {
    if (step === STEPS) throw new RangeError(`The fit did not settle in ${STEPS} steps`)
    const hessian = Array.from({ length: size }, (_, i) => {
      const row = new Array<number>(size).fill(0)
      row[i] = precision[i]!
      return row
    })
    const gradient = mean.map((value, i) => precision[i]! * (prior[i]!.mean - value))
    for (let n = 0; n < rows.length; n++) {
      const [from, to] = [filled.from[n]!, filled.from[n + 1]!]
      const p = logistic(logitAt(mean, n))
      const { tried, sound } = rows[n]!
      const off = sound - tried * p
      const weight = tried * p * (1 - p)
      for (let k = from; k < to; k++) {
        gradient[filled.at[k]!]! += filled.values[k]! * off
        const row = hessian[filled.at[k]!]!
        const weighted = weight * filled.values[k]!
        for (let m = from; m <= k; m++) row[filled.at[m]!]! += weighted * filled.values[m]!
      }
    }
    for (let i = 0; i < size; i++) for (let j = 0; j < i; j++) hessian[j]![i] = hessian[i]![j]!
    factor = cholesky(hessian)
    const move = solveByFactor(factor, gradient)
    const longest = Math.max(...move.map(Math.abs))
    const [before, fitBefore] = [mean, fit]
    let scale = 1
    let bettered = false
    for (let halved = 0; halved < HALVINGS && !bettered; halved++, scale /= 2) {
      const next = before.map((value, i) => value + scale * move[i]!)
      const better = fitOf(next)
      bettered = better >= fit
      if (bettered) [mean, fit] = [next, better]
    }
    if (longest < SETTLED || !bettered || fit - fitBefore < SAME_FIT * (1 + Math.abs(fit))) break
  }
  const covariance = mean.map((_, i) =>
    solveByFactor(
      factor,
      mean.map((_, j) => (i === j ? 1 : 0)),
    ),
  )
  return { mean, covariance }
}
