import script from '#worker/rodsAhead'
import type { ReckonRods } from '../store/rodsAhead'
import { inWorker } from './inWorker'

/** Reckons in a thread of its own: the server answers others meanwhile. */
export const rodsAheadInWorker: ReckonRods = (wanted, seed) => inWorker(script, { wanted, seed })
