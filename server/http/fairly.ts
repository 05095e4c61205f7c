import { refuse } from './refuse'

/** Pieces of one asker's work that are done at a time, and that may wait for their turn. */
const AT_ONCE = 2
const MOST_WAITING = 40

interface Asker {
  under: number
  readonly waiting: (() => void)[]
}

/**
 * Work that is done once for all who ask for the same, a few pieces at a time for each asker. One who asks while the
 * same is under way waits for the next time it is done: what was saved meanwhile is in it.
 * @param work what is done, by its name and what it is asked
 * @returns asks for it in a person's name; 429 where that one has too much waiting
 */
export function fairly<Result>(work: (name: string, asked: unknown) => Promise<Result>) {
  const askers = new Map<string, Asker>()
  const running = new Map<string, Promise<unknown>>()
  const next = new Map<string, Promise<Result>>()

  async function takeTurn(who: string): Promise<void> {
    const asker = askers.get(who) ?? { under: 0, waiting: [] }
    askers.set(who, asker)
    if (asker.under < AT_ONCE) {
      asker.under++
      return
    }
    if (asker.waiting.length >= MOST_WAITING)
      throw refuse(
        429,
        'Too much at once',
        'You have asked for more than can be done at a time. Try again in a moment.',
      )
    await new Promise<void>(resolve => asker.waiting.push(resolve))
  }

  function giveTurn(who: string): void {
    const asker = askers.get(who)!
    const waiting = asker.waiting.shift()
    if (waiting) return waiting()
    asker.under--
    if (asker.under === 0) askers.delete(who)
  }

  async function begin(who: string, key: string, name: string, asked: unknown): Promise<Result> {
    await running.get(key)?.catch(() => {})
    await takeTurn(who)
    next.delete(key)
    const done = work(name, asked).finally(() => {
      if (running.get(key) === done) running.delete(key)
      giveTurn(who)
    })
    running.set(key, done)
    return done
  }

  return (who: string, name: string, asked: unknown): Promise<Result> => {
    const key = `${name} ${JSON.stringify(asked)}`
    const known = next.get(key)
    if (known) return known
    const begun = begin(who, key, name, asked).finally(() => {
      if (next.get(key) === begun) next.delete(key)
    })
    next.set(key, begun)
    return begun
  }
}
