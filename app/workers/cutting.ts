import { bestCut, type BestCut, type CutOrder } from '~~/core/cutting'
import { highsSolver } from './highs'

/** What comes back: the plan, null where there is not enough to cut from; or that it could not be worked out. */
export type CuttingSaid =
  { readonly is: 'found'; readonly found: BestCut | null } | { readonly is: 'failed'; readonly why: string }

/** Longest that the solver looks for a better plan, s. */
const MOST_SECONDS = 20

const say = (said: CuttingSaid) => self.postMessage(said)

self.onmessage = ({ data }: MessageEvent<CutOrder>) =>
  highsSolver(MOST_SECONDS)
    .then(solve => say({ is: 'found', found: bestCut(data, solve) }))
    .catch((error: Error) => say({ is: 'failed', why: error.message }))
