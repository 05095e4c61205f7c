type Matrix = readonly (readonly number[])[]

/** Lower triangle whose product with its transpose is the matrix. @throws RangeError when the matrix is not positive */
export function cholesky(matrix: Matrix): number[][] {
  const lower = matrix.map(row => row.map(() => 0))
  for (let i = 0; i < matrix.length; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = matrix[i]![j]!
      for (let k = 0; k < j; k++) sum -= lower[i]![k]! * lower[j]![k]!
      if (i === j && !(sum > 0)) throw new RangeError('The matrix is not positive')
      lower[i]![j] = i === j ? Math.sqrt(sum) : sum / lower[j]![j]!
    }
  }
  return lower
}

/** Solves the system of a matrix given by its Cholesky factor. @example solveByFactor([[2]], [8]) // [2] */
export function solveByFactor(lower: Matrix, right: readonly number[]): number[] {
  const y = [...right]
  for (let i = 0; i < y.length; i++) {
    for (let k = 0; k < i; k++) y[i]! -= lower[i]![k]! * y[k]!
    y[i]! /= lower[i]![i]!
  }
  for (let i = y.length - 1; i >= 0; i--) {
    for (let k = i + 1; k < y.length; k++) y[i]! -= lower[k]![i]! * y[k]!
    y[i]! /= lower[i]![i]!
  }
  return y
}
