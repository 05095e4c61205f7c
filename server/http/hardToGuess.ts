import { ZxcvbnFactory } from '@zxcvbn-ts/core'
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common'
import { wrongField } from './refuse'

/** Longer passwords are looked at as far as this: what is hard to guess by then stays so, and looking takes time. */
const LOOKED_AT = 64
/** Of 0 to 4: more than a hundred million guesses. Source: zxcvbn (Wheeler 2016). */
const LEAST_SCORE = 3

const strength = new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs })

/**
 * Refuses a password that is among the first to be guessed: common ones, rows of keys, years, repeats, and whatever
 * is known of its owner.
 * @param about names that a stranger would try first: the person's, the user name
 * @throws 422 at the field
 */
export function mustBeHardToGuess(password: string, about: readonly string[], path = 'password'): void {
  const known = about.flatMap(text => text.toLowerCase().split(/[\s._-]+/)).filter(word => word.length > 2)
  // Names count for nothing, in whatever order: what is left without them has to do.
  const left = known.reduce((text, word) => text.replaceAll(word, ''), password.toLowerCase())
  if (strength.check(left.slice(0, LOOKED_AT)).score < LEAST_SCORE)
    throw wrongField(path, 'This password is soon guessed: take three or four words that do not belong together')
}
