import script from '#worker/passwords'
import { openPool } from '../workers/pool'
import { wrongField } from './refuse'

/** Who asks for a password to be looked at: a device that has signed in before, or an unknown one. */
export type Asker = 'known' | 'stranger'

/** Each has a thread of its own: strangers, however many, never stand before those who are known here. */
const POOLS = {
  known: openPool('passwords', script, { threads: 1, queue: 60 }),
  stranger: openPool('passwords', script, { threads: 1, queue: 20 }),
}

/** A password as it is kept. */
export const hashPassword = (password: string, asker: Asker = 'known'): Promise<string> =>
  POOLS[asker].run('hash', password)

/** Whether a password is the one that was kept. */
export const verifyPassword = (kept: string, password: string, asker: Asker = 'known'): Promise<boolean> =>
  POOLS[asker].run('verify', { kept, password })

/** What was found of the threads is taken for so long, ms. */
const HELD_MS = 60_000
let looked: { readonly at: number; readonly is: Promise<boolean> } | null = null

/** Whether passwords are looked at. */
export function passwordsAnswer(): Promise<boolean> {
  const now = Date.now()
  if (looked === null || now - looked.at > HELD_MS)
    looked = {
      at: now,
      is: POOLS.known.run<number>('score', 'anvil').then(
        () => true,
        () => false,
      ),
    }
  return looked.is
}

/** Longer passwords are looked at as far as this: what is hard to guess by then stays so, and looking takes time. */
const LOOKED_AT = 64
/** Of 0 to 4: more than a hundred million guesses. Source: zxcvbn (Wheeler 2016). */
const LEAST_SCORE = 3

/**
 * Refuses a password that is among the first to be guessed: common ones, rows of keys, years, repeats, and what
 * is known of its owner.
 * @param about names that a stranger would try first: the person's, the user name
 * @throws 422 at the field
 */
export async function mustBeHardToGuess(password: string, about: readonly string[], path = 'password'): Promise<void> {
  const known = about.flatMap(text => text.toLowerCase().split(/[\s._-]+/)).filter(word => word.length > 2)
  // Names count for nothing, in any order: what is left without them has to do.
  const left = known.reduce((text, word) => text.replaceAll(word, ''), password.toLowerCase())
  if ((await POOLS.known.run<number>('score', left.slice(0, LOOKED_AT))) < LEAST_SCORE)
    throw wrongField(path, 'This password is soon guessed: take three or four words that do not belong together')
}
