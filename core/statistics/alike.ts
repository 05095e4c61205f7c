/**
 * How many independent tries some alike ones tell as much as: the design effect of a cluster.
 * Source: Kish, Survey Sampling (1965), deff = 1 + (n - 1) rho.
 * @param tries of one cluster, 0 or more
 * @param alike correlation of two tries of a cluster, 0 to 1
 * @example effectiveTries(30, 0.1) // 7.69
 */
export const effectiveTries = (tries: number, alike: number): number => tries / (1 + Math.max(0, tries - 1) * alike)

/**
 * The chances of each number of successes among tries that are alike (beta-binomial), from none to all.
 * Source: Skellam 1948, by Pólya's urn; with `alike` 0 the binomial law.
 * @param rate of success, 0 to 1; @param alike correlation of two tries, 0 to under 1
 * @example alikeSuccesses(2, 0.5, 0) // [0.25, 0.5, 0.25]
 */
export function alikeSuccesses(tries: number, rate: number, alike: number): number[] {
  const step = alike / (1 - alike)
  let chances = [1]
  for (let drawn = 0; drawn < tries; drawn++) {
    const next = new Array<number>(drawn + 2).fill(0)
    chances.forEach((chance, sound) => {
      const again = (rate + sound * step) / (1 + drawn * step)
      next[sound + 1]! += chance * again
      next[sound]! += chance * (1 - again)
    })
    chances = next
  }
  return chances
}
