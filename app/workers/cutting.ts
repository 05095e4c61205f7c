import highsLoader from 'highs'
import runtime from 'highs/runtime?url'
import { bestCut, type BestCut, type CutOrder, type Solve } from '~~/core/cutting'

/** What comes back: the plan, or null where there is not enough to cut from. */
export type CuttingSaid = { readonly found: BestCut | null }

/** Longest that the solver looks for a better plan, s; what it has by then is taken. */
const MOST_SECONDS = 20
const ENOUGH = ['Optimal', 'Time limit reached']

self.onmessage = async ({ data }: MessageEvent<CutOrder>) => {
  const highs = await highsLoader({ locateFile: () => runtime })
  const solve: Solve = program => {
    const { Status, ObjectiveValue, Columns } = highs.solve(program, { time_limit: MOST_SECONDS })
    if (!ENOUGH.includes(Status)) return null
    return { value: ObjectiveValue, of: name => (Columns[name] as { Primal?: number } | undefined)?.Primal ?? 0 }
  }
  self.postMessage({ found: bestCut(data, solve) } satisfies CuttingSaid)
}
