import { choicesFor, nextCard, type BeadAnswer } from '../core/readingRoom'
import type { Random } from '../core/statistics'

/** How a class of the made-up school reads shown beads: a few each day, naming more as it goes. */
const PRACTICE = { everyDays: 6, aSitting: 7, named: { first: 0.45, last: 0.88 }, changedToo: 0.85 }
const A_DAY_MS = 86_400_000

/**
 * A student's answers between two moments, oldest first: sittings of some minutes, shown what the reading room
 * would show.
 */
export function practiceAnswers(from: Date, to: Date, random: Random): BeadAnswer[] {
  const answers: BeadAnswer[] = []
  for (let day = from; day < to; day = new Date(day.getTime() + PRACTICE.everyDays * A_DAY_MS)) {
    const through = (day.getTime() - from.getTime()) / (to.getTime() - from.getTime())
    const knows = PRACTICE.named.first + (PRACTICE.named.last - PRACTICE.named.first) * through
    for (let n = 0; n < PRACTICE.aSitting; n++) {
      const now = new Date(day.getTime() + n * 50_000)
      const { showing } = nextCard(answers, now, day)
      const cause = random.chance(knows) ? showing.card : random.pick(choicesFor(showing, 'cause'))
      const change = random.chance(PRACTICE.changedToo) ? cause : random.pick(choicesFor(showing, 'change'))
      answers.push({ card: showing.card, cause, change, at: now.toISOString() })
    }
  }
  return answers
}
