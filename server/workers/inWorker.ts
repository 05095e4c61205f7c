import { Worker } from 'node:worker_threads'

/**
 * Does one piece of work in a thread of its own, so that nobody's request waits for it.
 * @param script the worker's bundled source, as `#worker/…` gives it
 */
export function inWorker<Result>(script: string, input: unknown): Promise<Result> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(script, { eval: true, workerData: input })
    worker.once('message', resolve)
    worker.once('error', reject)
    worker.once('exit', code => reject(new Error(`The worker ended with ${code} and no answer`)))
  })
}
