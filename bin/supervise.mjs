/**
 * @typedef {{ ended: Promise<unknown>, stop: () => Promise<void>, log: () => string, alive?: () => Promise<boolean> }}
 *   Running alive: whether it answers within a time that anybody would wait; absent where it is not asked
 */

/** Pauses before what that ended is started again, s: each twice the one before, to the longest. */
const FIRST_PAUSE = 1
const LONGEST_PAUSE = 60
/** What stood for so long is no longer one that cannot start, ms. */
const STOOD_MS = 10 * 60_000
/** After this number of ends in a row it is said, and our own caller decides. */
const MOST_ENDS = 6
/** How often it is asked whether it is alive, s; and how often in a row it may be silent before it is replaced. */
const ASKED_EVERY = 5
const MOST_SILENT = 3

/**
 * Keeps something up: what ends, or does not come up again, is started anew after a growing pause, until it is asked to
 * stop. What cannot stand is given up with an error, so that the exit code tells a service manager the truth.
 * @param {{
 *   what: string,
 *   begin: () => Promise<Running>,
 *   running?: Running | null,
 *   asked: Promise<unknown>,
 *   wait: (seconds: number, signal: AbortSignal) => Promise<unknown>,
 *   say: (line: string) => void,
 *   now?: () => number,
 * }} terms what: as it begins a sentence; running: one that stands already; asked: settles when it is to stop
 */
export async function supervise({ what, begin, running = null, asked, wait, say, now = Date.now }) {
  const stop = asked.then(() => 'stop')
  let ends = 0
  // What does not come up the first time is a matter for the person who starts it.
  let began = now()
  let one = running ?? (await begin())
  for (;;) {
    const watch = new AbortController()
    const outcome = await Promise.race([
      stop,
      one.ended.then(code => ({ code })),
      ...(one.alive ? [silentSince(one, wait, watch.signal)] : []),
    ])
    watch.abort()
    if (outcome === 'stop') return one.stop()
    if (outcome.silent) {
      say(`${what} runs and does not answer. It is replaced.`)
      await one.stop()
    }
    ends = now() - began >= STOOD_MS ? 1 : ends + 1
    if (ends >= MOST_ENDS)
      throw Object.assign(new Error(`${what} ended ${ends} times in a row, at last with ${outcome.code}`), {
        output: one.log(),
      })
    const pause = Math.min(LONGEST_PAUSE, FIRST_PAUSE * 2 ** (ends - 1))
    say(`${what} ended with ${outcome.code}. It is started again in ${pause} s.`)
    const waiting = new AbortController()
    const waited = wait(pause, waiting.signal).catch(() => {})
    if ((await Promise.race([stop, waited])) === 'stop') return waiting.abort()
    began = now()
    one = await begin().catch(neverUp)
  }
}

/**
 * Settles once a thing that runs has been silent several times in a row: something holds it, and it will not end by
 * itself.
 */
async function silentSince(one, wait, signal) {
  for (let silent = 0; silent < MOST_SILENT;) {
    await wait(ASKED_EVERY, signal).catch(() => {})
    if (signal.aborted) return new Promise(() => {})
    silent = (await one.alive()) ? 0 : silent + 1
  }
  return { code: 'silence', silent: true }
}

/** What did not come up, as something that ended at once. */
const neverUp = error => ({
  ended: Promise.resolve(error.message),
  log: () => error.output ?? '',
  stop: async () => {},
})
