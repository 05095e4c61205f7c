import script from '#worker/fitCurves'
import type { FitCurves } from '../store/schoolCurves'
import { inWorker } from './inWorker'

/** Fits the school's curves beside the server: seconds of one core for a large school. */
export const fitInWorker: FitCurves = students => inWorker(script, students)
