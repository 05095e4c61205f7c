/** Pauses before a server that ended is started again, s: each twice the one before, to the longest. */
const FIRST_PAUSE = 1
const LONGEST_PAUSE = 60
/** A server that stood for so long is no longer one that cannot start, ms. */
const STOOD_MS = 10 * 60_000
/** After so many ends in a row it is said, and whoever runs us decides. */
const MOST_ENDS = 6

/**
 * Keeps a server up: one that ends is started again after a growing pause, until it is asked to stop. One that cannot
 * stand is given up with an error, so that the exit code tells a service manager the truth.
 * @param {{
 *   begin: () => Promise<{ ended: Promise<number | null>, stop: () => Promise<void>, log: () => string }>,
 *   asked: Promise<unknown>,
 *   wait: (seconds: number, signal: AbortSignal) => Promise<unknown>,
 *   say: (line: string) => void,
 *   now?: () => number,
 * }} terms asked: settles when it is to stop
 */
export async function supervise({ begin, asked, wait, say, now = Date.now }) {
  const stop = asked.then(() => 'stop')
  let ends = 0
  for (;;) {
    const began = now()
    const server = await begin()
    const outcome = await Promise.race([stop, server.ended.then(code => ({ code }))])
    if (outcome === 'stop') return server.stop()
    ends = now() - began >= STOOD_MS ? 1 : ends + 1
    if (ends >= MOST_ENDS)
      throw Object.assign(new Error(`The server ended ${ends} times in a row, at last with ${outcome.code}`), {
        output: server.log(),
      })
    const pause = Math.min(LONGEST_PAUSE, FIRST_PAUSE * 2 ** (ends - 1))
    say(`The server ended with ${outcome.code}. It is started again in ${pause} s.`)
    const waiting = new AbortController()
    const waited = wait(pause, waiting.signal).catch(() => {})
    if ((await Promise.race([stop, waited])) === 'stop') return waiting.abort()
  }
}
