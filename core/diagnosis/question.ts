import { CAUSES } from './causes'
import { posterior, shows } from './network'
import { chanceOf } from './inference'
import type { SeenSigns } from './sign'
import { SIGNS, type SignId, type SignRow } from './signTable'

/** The question that tells most, and what it tells, bits. */
export interface Question {
  readonly sign: SignId
  readonly ask: string
  readonly bits: number
}

/** Under this a question is not worth the student's time, bits. */
const WORTH_ASKING = 0.03

/** Where more than this is seen, no answer tells enough more; and each costs two posteriors. */
const MOST_SEEN_TO_ASK = 10

const entropy = (chance: number) =>
  chance <= 0 || chance >= 1 ? 0 : -chance * Math.log2(chance) - (1 - chance) * Math.log2(1 - chance)

/**
 * The one question that is expected to tell the two likeliest causes apart best: the greatest fall in their entropy
 * over its answers.
 * Source: expected information (D. V. Lindley, On a measure of the information provided by an experiment, 1956).
 * @param mayAsk what this piece, rod and position can tell
 * @returns null where no question is worth asking
 */
export function bestQuestion(
  priors: readonly number[],
  seen: SeenSigns,
  odds: readonly number[],
  mayAsk: (sign: SignRow) => boolean,
): Question | null {
  if (seen.signs.length > MOST_SEEN_TO_ASK) return null
  const top = odds
    .map((chance, index) => ({ chance, index }))
    .sort((a, b) => b.chance - a.chance)
    .slice(0, 2)
    .map(row => row.index)
  const doubt = (chances: readonly number[]) => top.reduce((sum, index) => sum + entropy(chances[index]!), 0)
  const known = new Set<SignId>([...seen.signs.map(sign => sign.id), ...seen.absent])
  const asked = SIGNS.filter(
    sign =>
      sign.ask !== null &&
      !known.has(sign.id) &&
      mayAsk(sign) &&
      top.some(index => (CAUSES[index]!.shows[sign.id] ?? 0) > 0),
  )
  const before = doubt(odds)
  const questions = asked.map(({ id, ask }): Question => {
    const yes = chanceOf(shows(id), odds)
    const said = { id, markIds: [], share: 1, told: true } as const
    const ifYes = posterior(priors, { ...seen, signs: [...seen.signs, said] }).odds
    const ifNo = posterior(priors, {
      ...seen,
      absent: [...seen.absent, id],
      denied: [...(seen.denied ?? []), id],
    }).odds
    return { sign: id, ask: ask!, bits: before - yes * doubt(ifYes) - (1 - yes) * doubt(ifNo) }
  })
  const best = questions.sort((a, b) => b.bits - a.bits)[0]
  return best && best.bits >= WORTH_ASKING ? best : null
}
