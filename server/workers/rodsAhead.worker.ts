import { parentPort, workerData } from 'node:worker_threads'
import { rodsAhead, type RodsAheadCase } from '../../core/rodsAhead'
import { seededRandom } from '../../core/statistics'

const { wanted, seed } = workerData as { readonly wanted: RodsAheadCase; readonly seed: number }
parentPort!.postMessage(rodsAhead(wanted, seededRandom(seed)))
