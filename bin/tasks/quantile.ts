/** A quantile of measured times, nearest rank. */
export function quantile(times: readonly number[], share: number): number {
  const sorted = [...times].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.max(0, Math.ceil(share * sorted.length) - 1))]!
}

/** How long some work takes, ms. */
export async function timed(work: () => unknown): Promise<number> {
  const began = performance.now()
  await work()
  return performance.now() - began
}

export const ms = (value: number) => `${value.toFixed(2)} ms`
export const times = (value: number) => `${value.toFixed(2)} times`
