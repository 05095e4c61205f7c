import { parentPort, workerData } from 'node:worker_threads'
import { fitCurves, withHistory, type Tried } from '../../core/progress'

/** Fits the school's curves to what its students tried. */
parentPort!.postMessage(fitCurves((workerData as readonly (readonly Tried[])[]).map(withHistory)))
