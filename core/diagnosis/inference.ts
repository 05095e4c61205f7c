/**
 * A causal network of two layers: causes that may each be at work or not, and signs that each may bring about.
 * A sign is a noisy OR of its causes with a leak: absent only when every cause at work failed to show it and
 * nothing else did.
 */
export interface Network {
  /** Chance that each cause is at work before anything is seen. */
  readonly priors: readonly number[]
  readonly signs: readonly NetworkSign[]
}

export interface NetworkSign {
  /** Chance of the sign when no cause is at work. */
  readonly leak: number
  /** Chance, for each cause, that it shows this sign when at work. */
  readonly shows: readonly number[]
}

/**
 * What is known of a sign. Of one that was seen, `slip` is the share of its likelihood that is left when it is not
 * really there; of one that was not,
 * the share of times that a cause shows it and nobody marks it. 0 is certain. A sign that was neither seen nor
 * looked for is left out.
 */
export interface SignFinding {
  readonly sign: number
  readonly seen: boolean
  readonly slip: number
  /** A sign that is everywhere is seldom a slip: its leak is taken so many times. 1 when it is not said. */
  readonly leakTimes?: number
}

/** The exact sum has a term for each set of seen signs; more than this many are not weighed. */
export const MOST_SEEN = 14

export interface Posterior {
  /** Chance that each cause is at work, given what was found. */
  readonly odds: readonly number[]
  /** Chance of finding just this. */
  readonly evidence: number
}

/**
 * Exact posterior of every cause, not sampled: signs not seen multiply out; signs seen are summed over their
 * subsets with alternating signs.
 * Source: the quickscore sum for noisy-OR networks (D. Heckerman, A tractable inference algorithm for diagnosing
 * multiple diseases, 1989).
 * @throws RangeError for more than `MOST_SEEN` seen signs
 * @example infer({ priors: [0.5], signs: [{ leak: 0, shows: [1] }] }, [{ sign: 0, seen: true, slip: 0 }]).odds // [1]
 */
export function infer({ priors, signs }: Network, findings: readonly SignFinding[]): Posterior {
  const seen = findings.filter(finding => finding.seen)
  if (seen.length > MOST_SEEN) throw new RangeError(`At most ${MOST_SEEN} signs are weighed at once`)
  const causes = priors.length
  /** For each cause: chance that it kept back every sign that was looked for and not seen. */
  const silent = new Float64Array(causes).fill(1)
  let leaks = 1
  for (const { sign, slip } of findings.filter(finding => !finding.seen)) {
    const { leak, shows } = signs[sign]!
    leaks *= 1 - leak * (1 - slip)
    for (let cause = 0; cause < causes; cause++) silent[cause]! *= 1 - shows[cause]! * (1 - slip)
  }
  const sums = new Float64Array(causes)
  let total = 0
  const kept = new Float64Array(causes)
  for (let set = 0; set < 1 << seen.length; set++) {
    let weight = leaks
    kept.set(silent)
    for (let n = 0; n < seen.length; n++) {
      if (!(set & (1 << n))) continue
      const { sign, slip, leakTimes = 1 } = seen[n]!
      const { leak, shows } = signs[sign]!
      // Likelihood of what was found: 1 when the sign is there, `slip` when it is not.
      weight *= -(1 - slip) * (1 - leak * leakTimes)
      for (let cause = 0; cause < causes; cause++) kept[cause]! *= 1 - shows[cause]!
    }
    for (let cause = 0; cause < causes; cause++) weight *= 1 - priors[cause]! + priors[cause]! * kept[cause]!
    total += weight
    for (let cause = 0; cause < causes; cause++)
      sums[cause]! += (weight * priors[cause]! * kept[cause]!) / (1 - priors[cause]! + priors[cause]! * kept[cause]!)
  }
  return { odds: Array.from(sums, sum => Math.min(1, Math.max(0, sum / total))), evidence: total }
}

/**
 * Chance that a sign shows when causes are at work with these odds, taken as independent.
 * @example chanceOf({ leak: 0.1, shows: [0.5] }, [1]) // 0.55
 */
export function chanceOf({ leak, shows }: NetworkSign, odds: readonly number[]): number {
  return 1 - shows.reduce((absent, chance, cause) => absent * (1 - chance * odds[cause]!), 1 - leak)
}
