import highsLoader from 'highs'
import runtime from 'highs/runtime?url'
import { bestCut, type BestCut, type CutOrder, type Solve } from '~~/core/cutting'

/** What comes back: the plan, null where there is not enough to cut from; or that it could not be worked out. */
export type CuttingSaid =
  { readonly is: 'found'; readonly found: BestCut | null } | { readonly is: 'failed'; readonly why: string }

/** Longest that the solver looks for a better plan, s; what it has by then is taken. */
const MOST_SECONDS = 20
const ENOUGH = ['Optimal', 'Time limit reached']

const say = (said: CuttingSaid) => self.postMessage(said)

async function solver(): Promise<Solve> {
  const highs = await highsLoader({ locateFile: () => runtime })
  return program => {
    const { Status, ObjectiveValue, Columns } = highs.solve(program, { time_limit: MOST_SECONDS })
    if (!ENOUGH.includes(Status)) return null
    return {
      proved: Status === 'Optimal',
      value: ObjectiveValue,
      of: name => (Columns[name] as { Primal?: number } | undefined)?.Primal ?? 0,
    }
  }
}

self.onmessage = ({ data }: MessageEvent<CutOrder>) =>
  solver()
    .then(solve => say({ is: 'found', found: bestCut(data, solve) }))
    .catch((error: Error) => say({ is: 'failed', why: error.message }))
