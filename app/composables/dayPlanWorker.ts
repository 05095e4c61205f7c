import type { DayPlanAsked, DayPlanSaid } from '~/workers/dayPlan'

/** Asks the worker that plans a day; what comes back, as it comes. Answers how to stop it. */
export function askDayPlan(asked: DayPlanAsked, said: (said: DayPlanSaid) => void): () => void {
  const worker = new Worker(new URL('../workers/dayPlan.ts', import.meta.url), { type: 'module' })
  const stop = () => worker.terminate()
  worker.onmessage = ({ data }: MessageEvent<DayPlanSaid>) => {
    if (data.is !== 'under way' && data.is !== 'by hand') stop()
    said(data)
  }
  worker.onerror = () => {
    stop()
    said({ is: 'failed', why: 'it does not run in this browser' })
  }
  // What is sent is copied; a store's wrappers are not.
  worker.postMessage(JSON.parse(JSON.stringify(asked)))
  return stop
}
