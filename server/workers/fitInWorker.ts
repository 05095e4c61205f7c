import script from '#worker/fitCurves'
import type { FitCurves } from '../store/schoolCurves'
import { openPool } from './pool'

const pool = openPool('fitCurves', script, { threads: 1, queue: 4 })

/** Fits the school's curves beside the server: seconds of one core for a large school. */
export const fitInWorker: FitCurves = known => pool.run('fit', known)
