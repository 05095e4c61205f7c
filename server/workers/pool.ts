import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Piscina } from 'piscina'
import { TooBusy } from '../store/databaseTrouble'

/** What a pool may take on. */
interface PoolTerms {
  /** Threads at most; each is begun when it is first needed. */
  readonly threads: number
  /** Pieces of work that may wait; what comes beyond is refused at once. */
  readonly queue: number
}

/** A pool of threads that all run one worker's functions. */
export interface WorkPool {
  /**
   * Does one piece of work beside the server.
   * @param name of the worker's function; @throws TooBusy where too much waits already
   */
  run<Result>(name: string, input: unknown): Promise<Result>
}

/** A thread that had nothing to do for so long is let go, ms. */
const IDLE_MS = 60_000

/**
 * Opens a pool when it is first asked.
 * @param name of the worker; @param script its bundled source, as `#worker/…` gives it
 */
export function openPool(name: string, script: string, { threads, queue }: PoolTerms): WorkPool {
  let pool: Piscina | null = null
  const open = () => {
    // Threads are begun from a file.
    const filename = join(mkdtempSync(join(tmpdir(), 'fusilis-worker-')), `${name}.cjs`)
    writeFileSync(filename, script)
    return new Piscina({ filename, minThreads: 0, maxThreads: threads, maxQueue: queue, idleTimeout: IDLE_MS })
  }
  return {
    async run<Result>(work: string, input: unknown) {
      pool ??= open()
      if (pool.queueSize >= queue) throw new TooBusy()
      return (await pool.run(input, { name: work })) as Result
    },
  }
}
