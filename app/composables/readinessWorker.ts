import type { ReadinessAsked, ReadinessSaid } from '~/workers/readiness'

/** Asks the worker that runs attempts at test pieces; what comes back, as it comes. Answers how to stop it. */
export function askReadiness(
  asked: ReadinessAsked,
  said: (said: ReadinessSaid) => void,
  failed: (problem: string) => void,
): () => void {
  const worker = new Worker(new URL('../workers/readiness.ts', import.meta.url), { type: 'module' })
  const stop = () => worker.terminate()
  worker.onmessage = ({ data }: MessageEvent<ReadinessSaid>) => {
    if (data.is !== 'under way') stop()
    said(data)
  }
  worker.onerror = () => {
    stop()
    failed('The attempts could not be run in this browser.')
  }
  // What is sent is copied; a store's wrappers are not.
  worker.postMessage(JSON.parse(JSON.stringify(asked)))
  return stop
}
