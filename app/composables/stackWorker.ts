import { onScopeDispose, shallowRef, watch, type ShallowRef } from 'vue'
import type { StackPlanner } from '~~/core/deposit'
import type { StackSaid } from '~/workers/stack'

/** What was planned, and what it was planned for. */
export type Planned = StackSaid & { readonly planner: StackPlanner }

/**
 * Plans a joint again whenever what is asked changes, beside the page: a thick groove takes longer than a frame. While
 * one is planned only the newest of what was asked meanwhile is kept, so that a drag is never answered late.
 * @returns what was planned last; null before the first
 */
export function useStackWorker(asked: () => StackPlanner): Readonly<ShallowRef<Planned | null>> {
  const worker = new Worker(new URL('../workers/stack.ts', import.meta.url), { type: 'module' })
  const planned = shallowRef<Planned | null>(null)
  let underWay: StackPlanner | null = null
  let next: StackPlanner | null = null

  function ask(planner: StackPlanner): void {
    if (underWay) {
      next = planner
      return
    }
    underWay = planner
    // What is sent is copied; a page's wrappers are not.
    worker.postMessage(JSON.parse(JSON.stringify(planner)))
  }
  function answered(said: StackSaid): void {
    planned.value = { ...said, planner: underWay! }
    underWay = null
    const waiting = next
    next = null
    if (waiting) ask(waiting)
  }
  worker.onmessage = ({ data }: MessageEvent<StackSaid>) => answered(data)
  worker.onerror = () => answered({ problem: 'The beads could not be planned in this browser.' })
  watch(asked, ask, { immediate: true })
  onScopeDispose(() => worker.terminate())
  return planned
}
