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
 * really there; of one that was not, the share of times that a cause shows it and it is not marked. 0 is certain. A
 * sign that was neither seen nor looked for is left out.
 */
export interface SignFinding {
  readonly sign: number
  readonly seen: boolean
  readonly slip: number
  /** A sign that is everywhere is seldom a slip: its leak is taken this many times. 1 when it is not said. */
  readonly leakTimes?: number
}

export interface Posterior {
  /** Chance that each cause is at work, given what was found. */
  readonly odds: readonly number[]
  /** Chance of finding just this. */
  readonly evidence: number
}

/** A seen sign, as the causes that are taken in order meet it. */
interface SeenSign {
  readonly shows: readonly number[]
  /** Likelihood of finding it when no cause has shown it: its leak, or a slip. */
  readonly unexplained: number
}

/**
 * Exact posterior of every cause, by sums of positive terms alone, so that nothing cancels.
 *
 * Causes are taken one after the other. What is carried along is the chance of each set of seen signs that a cause has
 * shown so far: a cause that is not at work leaves the sets as they are, one that is moves each sign over with its
 * chance. A sign is in the sets only from the first cause that may show it to the last, after which it counts 1 where
 * it was shown and its leak or slip where not; causes are ordered so that few are open at once. Going back through the
 * same steps gives each cause its share (the chance is linear in each prior).
 * Source: forward and backward sums over an elimination order (Zhang and Poole 1996; the noisy OR taken apart by its
 * causes as by Heckerman and Breese 1996), from memory; checked against the alternating sum in 80-digit arithmetic.
 * @throws RangeError where no cause and no leak can have brought about what was seen
 * @example infer({ priors: [0.5], signs: [{ leak: 0, shows: [1] }] }, [{ sign: 0, seen: true, slip: 0 }]).odds // [1]
 */
export function infer({ priors, signs }: Network, findings: readonly SignFinding[]): Posterior {
  const seen = findings
    .filter(finding => finding.seen)
    .map(({ sign, slip, leakTimes = 1 }): SeenSign => ({
      shows: signs[sign]!.shows,
      unexplained: 1 - (1 - slip) * (1 - signs[sign]!.leak * leakTimes),
    }))
  const { silent, leaks } = absences(
    priors.length,
    findings.filter(finding => !finding.seen).map(({ sign, slip }) => ({ ...signs[sign]!, slip })),
  )
  const order = eliminationOrder(priors.length, seen)
  const steps = stepsOf(order, seen)

  // Forward: what is carried into each cause.
  const carried: Float64Array[] = []
  let forward: Float64Array = Float64Array.of(leaks)
  for (const step of steps) {
    const opened = open(forward, step)
    carried.push(opened)
    forward = close(withCause(opened, step, priors[step.cause]!, silent[step.cause]!), step)
  }
  const evidence = forward[0]!
  if (!(evidence > 0)) throw new RangeError('Nothing in the network can have brought about what was seen')

  // Backward: what each set is worth from here on.
  const odds = priors.map(() => 0)
  let worth: Float64Array = Float64Array.of(1)
  for (const [index, step] of [...steps.entries()].reverse()) {
    const after = closeBack(worth, step)
    const atWork = showBack(after, step)
    const prior = priors[step.cause]!
    const kept = silent[step.cause]!
    let share = 0
    const before = new Float64Array(after.length)
    const into = carried[index]!
    for (let set = 0; set < into.length; set++) {
      share += into[set]! * atWork[set]!
      before[set] = (1 - prior) * after[set]! + prior * kept * atWork[set]!
    }
    odds[step.cause] = (prior * kept * share) / evidence
    worth = openBack(before, step)
  }
  return { odds: odds.map(chance => Math.min(1, chance)), evidence }
}

/** What was looked for and not seen: for each cause the chance that it kept all of it back, and that no leak showed. */
function absences(causes: number, missing: readonly (NetworkSign & { readonly slip: number })[]) {
  const silent = Array.from({ length: causes }, (_, cause) =>
    missing.reduce((product, { shows, slip }) => product * (1 - shows[cause]! * (1 - slip)), 1),
  )
  const leaks = missing.reduce((product, { leak, slip }) => product * (1 - leak * (1 - slip)), 1)
  return { silent, leaks }
}

/** Up to this number of seen signs any order will do: all of them open at once are few. */
const FEW = 9

/**
 * An order of causes in which few seen signs are open at once. Next comes the cause that leaves the fewest open, and
 * among equals the one that opens the fewest; where much is seen, each cause is tried as the first, and the order with
 * the least work is taken.
 */
function eliminationOrder(causes: number, seen: readonly SeenSign[]): number[] {
  const ofCause = Array.from({ length: causes }, (_, cause) =>
    seen.flatMap(({ shows }, n) => (shows[cause]! > 0 ? [n] : [])),
  )
  const orders = (seen.length <= FEW ? [null] : [null, ...ofCause.keys()]).map(first =>
    greedyOrder(ofCause, seen.length, first),
  )
  return orders.reduce((best, one) => (one.work < best.work ? one : best)).order
}

/** The greedy order after a first cause, and the sum of sets that it goes through. */
function greedyOrder(ofCause: readonly (readonly number[])[], signs: number, first: number | null) {
  /** Causes still to come that may show each sign. */
  const waiting = new Int32Array(signs)
  for (const shown of ofCause) for (const n of shown) waiting[n]!++
  const opened = new Uint8Array(signs)
  const left = new Set(ofCause.keys())
  const order: number[] = []
  let [open, work] = [0, 0]
  const take = (cause: number) => {
    left.delete(cause)
    order.push(cause)
    for (const n of ofCause[cause]!) {
      if (!opened[n]) open++
      opened[n] = 1
    }
    work += 2 ** open
    for (const n of ofCause[cause]!) if (--waiting[n]! === 0) open--
  }
  if (first !== null) take(first)
  while (left.size > 0) {
    let best = -1
    let [fewest, least] = [Infinity, Infinity]
    for (const cause of left) {
      let [fresh, closed] = [0, 0]
      for (const n of ofCause[cause]!) {
        if (!opened[n]) fresh++
        if (waiting[n] === 1) closed++
      }
      if (fresh - closed < fewest || (fresh - closed === fewest && fresh < least)) {
        best = cause
        ;[fewest, least] = [fresh - closed, fresh]
      }
    }
    take(best)
  }
  return { order, work }
}

/** One cause: how many signs it opens, which open ones it may show, and which close behind it. */
interface Step {
  readonly cause: number
  readonly opens: number
  /** Bits of the open signs, with the chance that this cause shows each. */
  readonly shows: readonly (readonly [bit: number, chance: number])[]
  /** Bits that close after it, the highest first, with the likelihood of what was left unexplained. */
  readonly closes: readonly (readonly [bit: number, unexplained: number])[]
}

function stepsOf(order: readonly number[], seen: readonly SeenSign[]): Step[] {
  const lastOf = seen.map(({ shows }) => order.findLastIndex(cause => shows[cause]! > 0))
  let open: number[] = []
  return order.map((cause, index) => {
    const known = new Set(open)
    const fresh = seen.flatMap(({ shows }, n) =>
      // A sign that no cause shows is its leak alone: it opens and closes with the first cause.
      (shows[cause]! > 0 && !known.has(n)) || (lastOf[n] === -1 && index === 0) ? [n] : [],
    )
    const all = [...open, ...fresh]
    const closing = all.flatMap((n, bit) => (lastOf[n]! <= index ? [bit] : []))
    open = all.filter(n => lastOf[n]! > index)
    return {
      cause,
      opens: fresh.length,
      shows: all.flatMap((n, bit) => (seen[n]!.shows[cause]! > 0 ? [[bit, seen[n]!.shows[cause]!] as const] : [])),
      closes: closing.reverse().map(bit => [bit, seen[all[bit]!]!.unexplained] as const),
    }
  })
}

/** New signs are unexplained so far: the sets are the same, in a longer list. */
function open(sets: Float64Array, { opens }: Step): Float64Array {
  if (opens === 0) return sets
  const wider = new Float64Array(sets.length << opens)
  wider.set(sets)
  return wider
}
const openBack = (worth: Float64Array, { opens }: Step): Float64Array =>
  opens === 0 ? worth : worth.slice(0, worth.length >> opens)

/** A cause is at work or not; where it is, it moves each sign over with its chance. */
function withCause(sets: Float64Array, { shows }: Step, prior: number, kept: number): Float64Array {
  const moved = sets.slice()
  for (const [bit, chance] of shows) {
    const mask = 1 << bit
    for (let set = 0; set < moved.length; set++) {
      if (set & mask) continue
      moved[set | mask]! += moved[set]! * chance
      moved[set]! *= 1 - chance
    }
  }
  for (let set = 0; set < moved.length; set++) moved[set] = (1 - prior) * sets[set]! + prior * kept * moved[set]!
  return moved
}

/** What each set is worth when the cause is at work. */
function showBack(worth: Float64Array, { shows }: Step): Float64Array {
  const back = worth.slice()
  for (const [bit, chance] of [...shows].reverse()) {
    const mask = 1 << bit
    for (let set = 0; set < back.length; set++)
      if (!(set & mask)) back[set] = chance * back[set | mask]! + (1 - chance) * back[set]!
  }
  return back
}

/** A sign that nothing more can show: it counts 1 where it was shown, its leak or slip where not. */
function close(sets: Float64Array, { closes }: Step): Float64Array {
  let narrower = sets
  for (const [bit, unexplained] of closes) {
    const next = new Float64Array(narrower.length >> 1)
    for (let set = 0; set < next.length; set++) {
      const at = wider(set, bit)
      next[set] = unexplained * narrower[at]! + narrower[at | (1 << bit)]!
    }
    narrower = next
  }
  return narrower
}

function closeBack(worth: Float64Array, { closes }: Step): Float64Array {
  let back = worth
  for (const [bit, unexplained] of [...closes].reverse()) {
    const next = new Float64Array(back.length << 1)
    for (let set = 0; set < back.length; set++) {
      const at = wider(set, bit)
      next[at] = unexplained * back[set]!
      next[at | (1 << bit)] = back[set]!
    }
    back = next
  }
  return back
}

/** The set with a bit let in, not set. */
const wider = (set: number, bit: number): number => ((set >> bit) << (bit + 1)) | (set & ((1 << bit) - 1))

/**
 * Chance that a sign shows when causes are at work with these odds, taken as independent.
 * @example chanceOf({ leak: 0.1, shows: [0.5] }, [1]) // 0.55
 */
export function chanceOf({ leak, shows }: NetworkSign, odds: readonly number[]): number {
  return 1 - shows.reduce((absent, chance, cause) => absent * (1 - chance * odds[cause]!), 1 - leak)
}

/**
 * The most seen signs that are open at once in the sums over these: their work doubles with each.
 * @example widthOf(network, findings) // 11
 */
export function widthOf({ priors, signs }: Network, findings: readonly SignFinding[]): number {
  const seen = findings
    .filter(finding => finding.seen)
    .map(({ sign }): SeenSign => ({ shows: signs[sign]!.shows, unexplained: 0 }))
  let [open, widest] = [0, 0]
  for (const step of stepsOf(eliminationOrder(priors.length, seen), seen)) {
    open += step.opens
    widest = Math.max(widest, open)
    open -= step.closes.length
  }
  return widest
}
