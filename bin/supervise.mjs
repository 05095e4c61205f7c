/** @typedef {{ ended: Promise<unknown>, stop: () => Promise<void>, log: () => string }} Running */

/** Pauses before what that ended is started again, s: each twice the one before, to the longest. */
const FIRST_PAUSE = 1
const LONGEST_PAUSE = 60
/** What stood for so long is no longer one that cannot start, ms. */
const STOOD_MS = 10 * 60_000
/** After so many ends in a row it is said, and whoever runs us decides. */
const MOST_ENDS = 6

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
  // What does not come up the first time is a matter for whoever starts it.
  let began = now()
  let one = running ?? (await begin())
  for (;;) {
    const outcome = await Promise.race([stop, one.ended.then(code => ({ code }))])
    if (outcome === 'stop') return one.stop()
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

/** What did not come up, as something that ended at once. */
const neverUp = error => ({
  ended: Promise.resolve(error.message),
  log: () => error.output ?? '',
  stop: async () => {},
})
