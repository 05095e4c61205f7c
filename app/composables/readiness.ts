import type { ReadinessAsked, ReadinessSaid } from '~/workers/readiness'

/** Attempts at a test piece in a worker of their own: how far they are, what came out, and a way to stop them. */
export function useReadiness() {
  const share = ref<number | null>(null)
  const result = shallowRef<Extract<ReadinessSaid, { is: 'done' }> | null>(null)
  const problem = ref('')
  let worker: Worker | null = null

  function cancel(): void {
    worker?.terminate()
    worker = null
    share.value = null
  }

  function begin(asked: ReadinessAsked): void {
    cancel()
    problem.value = ''
    result.value = null
    share.value = 0
    worker = new Worker(new URL('../workers/readiness.ts', import.meta.url), { type: 'module' })
    worker.onmessage = ({ data }: MessageEvent<ReadinessSaid>) => {
      if (data.is === 'under way') share.value = data.share
      else {
        result.value = data
        cancel()
      }
    }
    worker.onerror = () => {
      problem.value = 'The attempts could not be run in this browser.'
      cancel()
    }
    // What is sent is copied; a store's wrappers are not.
    worker.postMessage(JSON.parse(JSON.stringify(asked)))
  }

  onBeforeUnmount(cancel)
  return { share, result, problem, begin, cancel }
}
