import { planStack, type StackPlan, type StackPlanner } from '~~/core/deposit'

/** What comes back: the plan, or why there is none. */
export type StackSaid = { readonly plan: StackPlan } | { readonly problem: string }

self.onmessage = ({ data }: MessageEvent<StackPlanner>) => self.postMessage(answer(data))

function answer(planner: StackPlanner): StackSaid {
  try {
    return { plan: planStack(planner) }
  } catch (error) {
    return { problem: (error as Error).message }
  }
}
