/** A rate between two bounds, each 0 to 1. */
export interface Interval {
  readonly low: number
  readonly high: number
}

/**
 * Exact (Clopper–Pearson) two-sided interval of a binomial rate: the rates at which the count seen, or a more
 * extreme one,
 * has probability (1 − confidence)/2. Source: Clopper and Pearson 1934; checked against Newcombe 1998.
 * @param sound successes, 0 to `tried`
 * @param tried whole number of tries
 * @throws RangeError for counts that cannot be
 * @example binomialInterval(8, 10) // { low: 0.443905, high: 0.974789 }
 */
export function binomialInterval(sound: number, tried: number, confidence = 0.95): Interval {
  if (!Number.isInteger(sound) || !Number.isInteger(tried) || sound < 0 || sound > tried || tried < 1)
    throw new RangeError(`${sound} of ${tried} is not a count of tries`)
  if (!(confidence > 0 && confidence < 1)) throw new RangeError('Confidence is between 0 and 1')
  const tail = (1 - confidence) / 2
  return {
    low: sound === 0 ? 0 : solve(rate => 1 - cumulative(sound - 1, tried, rate), tail),
    high: sound === tried ? 1 : solve(rate => 1 - cumulative(sound, tried, rate), 1 - tail),
  }
}

/** Probability of at most k successes in n at a rate. */
function cumulative(k: number, n: number, rate: number): number {
  let logChoose = 0
  let sum = 0
  for (let i = 0; i <= k; i++) {
    if (i > 0) logChoose += Math.log((n - i + 1) / i)
    sum += Math.exp(logChoose + i * Math.log(rate) + (n - i) * Math.log1p(-rate))
  }
  return Math.min(1, sum)
}

/**
 * Probability of at least k successes in n at a rate.
 * @example binomialTail(8, 10, 0.5) // 0.054688
 */
export const binomialTail = (k: number, n: number, rate: number): number =>
  k <= 0 ? 1 : 1 - cumulative(k - 1, n, rate)

/** The rate at which a rising function takes a value, by bisection to the last bit that matters. */
function solve(rising: (rate: number) => number, value: number): number {
  let low = 0
  let high = 1
  for (let step = 0; step < 60; step++) {
    const middle = (low + high) / 2
    if (rising(middle) < value) low = middle
    else high = middle
  }
  return (low + high) / 2
}
