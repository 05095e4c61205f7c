import type { ReadinessAsked, ReadinessSaid } from '~/workers/readiness'
import { askReadiness } from './readinessWorker'

/** Attempts at a test piece in a worker of their own: how far they are, what came out, and a way to stop them. */
export function useReadiness() {
  const share = ref<number | null>(null)
  const result = shallowRef<Extract<ReadinessSaid, { is: 'done' }> | null>(null)
  const problem = ref('')
  let stop: (() => void) | null = null

  function cancel(): void {
    stop?.()
    stop = null
    share.value = null
  }

  function begin(asked: Omit<Extract<ReadinessAsked, { ask: 'everything' }>, 'ask'>): void {
    cancel()
    problem.value = ''
    result.value = null
    share.value = 0
    stop = askReadiness(
      { ask: 'everything', ...asked },
      said => {
        if (said.is === 'under way') share.value = said.share
        if (said.is === 'done') {
          result.value = said
          cancel()
        }
      },
      why => {
        problem.value = why
        cancel()
      },
    )
  }

  onBeforeUnmount(cancel)
  return { share, result, problem, begin, cancel }
}
