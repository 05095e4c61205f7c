import type { BestCut, CutOrder } from '~~/core/cutting'
import type { CuttingSaid } from '~/workers/cutting'

/** Asks the worker for the fewest bars. Answers the plan, and how to stop it. */
export function askCutting(order: CutOrder): { readonly found: Promise<BestCut | null>; readonly stop: () => void } {
  const worker = new Worker(new URL('../workers/cutting.ts', import.meta.url), { type: 'module' })
  const stop = () => worker.terminate()
  const found = new Promise<BestCut | null>((resolve, reject) => {
    const failed = (why: string) => reject(new Error(`The plan could not be worked out in this browser${why}.`))
    worker.onmessage = ({ data }: MessageEvent<CuttingSaid>) =>
      data.is === 'found' ? resolve(data.found) : failed(`: ${data.why}`)
    worker.onerror = () => failed('')
    // What is sent is copied; a page's wrappers are not.
    worker.postMessage(JSON.parse(JSON.stringify(order)))
  }).finally(stop)
  return { found, stop }
}
