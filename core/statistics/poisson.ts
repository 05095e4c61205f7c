import type { Random } from './random'

/**
 * Draws a Poisson count. Source: Knuth's product of uniforms, for small means.
 * @param mean 0 or more; the time it takes grows with it
 */
export function poisson(mean: number, random: Random): number {
  const least = Math.exp(-mean)
  let count = 0
  for (let product = random.uniform(); product > least; product *= random.uniform()) count += 1
  return count
}
