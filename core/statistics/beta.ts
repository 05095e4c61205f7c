/** Lanczos' coefficients for g = 7. Source: P. Godfrey's table, as commonly printed. */
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
]

/**
 * Natural logarithm of the gamma function, for x over 0. Source: Lanczos 1964.
 * @example logGamma(5) // ln 24
 */
export function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - logGamma(1 - x)
  const shifted = x - 1
  const sum = LANCZOS.reduce((total, value, n) => (n === 0 ? value : total + value / (shifted + n)), 0)
  const t = shifted + 7.5
  return 0.5 * Math.log(2 * Math.PI) + (shifted + 0.5) * Math.log(t) - t + Math.log(sum)
}

/** The continued fraction settles long before this for any count that a school has. */
const MOST_TERMS = 10_000
const TINY = 1e-300
const SETTLED = 1e-15

/**
 * The chance that a Beta(a, b) is over a mark. Source: the continued fraction of the incomplete beta function
 * (Abramowitz and Stegun 26.5.8), by Lentz's method; checked against jstat and binomial sums.
 * @param x the mark; at or under 0 all lies over it, at or over 1 nothing
 * @param a over 0
 * @param b over 0
 * @throws RangeError for a or b not over 0
 * @example betaTail(0.5, 1, 1) // 0.5
 */
export function betaTail(x: number, a: number, b: number): number {
  if (!(a > 0 && b > 0)) throw new RangeError(`Beta(${a}, ${b}) is not a distribution`)
  if (x <= 0) return 1
  if (x >= 1) return 0
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x))
  // The fraction is quick on the near side of the mean only; on the other side the roles are changed over.
  return x < (a + 1) / (a + b + 2) ? 1 - (front * fraction(x, a, b)) / a : (front * fraction(1 - x, b, a)) / b
}

function fraction(x: number, a: number, b: number): number {
  const held = (value: number) => (Math.abs(value) < TINY ? TINY : value)
  let c = 1
  let d = 1 / held(1 - ((a + b) * x) / (a + 1))
  let result = d
  for (let m = 1; m <= MOST_TERMS; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m))
    d = 1 / held(1 + even * d)
    c = held(1 + even / c)
    result *= d * c
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1))
    d = 1 / held(1 + odd * d)
    c = held(1 + odd / c)
    result *= d * c
    if (Math.abs(d * c - 1) < SETTLED) break
  }
  return result
}

/**
 * The mark that a Beta(a, b) is under with this chance, by bisection to the last bit that matters.
 * @param share 0 to 1
 * @example betaQuantile(0.5, 1, 1) // 0.5
 */
export function betaQuantile(share: number, a: number, b: number): number {
  let [low, high] = [0, 1]
  for (let step = 0; step < 60; step++) {
    const middle = (low + high) / 2
    if (1 - betaTail(middle, a, b) < share) low = middle
    else high = middle
  }
  return (low + high) / 2
}
