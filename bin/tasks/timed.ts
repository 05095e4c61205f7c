/** How long some work takes, ms. */
export async function timed(work: () => unknown): Promise<number> {
  const began = performance.now()
  await work()
  return performance.now() - began
}

export const ms = (value: number) => `${value.toFixed(2)} ms`
export const times = (value: number) => `${value.toFixed(2)} times`
