/** A source of chance: the same seed gives the same draws. */
export interface Random {
  /** Uniform in [0, 1). */
  readonly uniform: () => number
  /** Normal with mean 0 and deviation 1. */
  readonly normal: () => number
  /** True with this probability. */
  readonly chance: (probability: number) => boolean
  /** One of the items, evenly. */
  readonly pick: <T>(items: readonly T[]) => T
}

/**
 * A seeded generator (mulberry32, public domain; normals by Box and Muller 1958).
 * @example seededRandom(7).uniform() === seededRandom(7).uniform() // true
 */
export function seededRandom(seed: number): Random {
  let state = seed >>> 0
  const uniform = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296
  }
  return {
    uniform,
    normal: () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()),
    chance: probability => uniform() < probability,
    pick: items => items[Math.floor(uniform() * items.length)]!,
  }
}
