import { causeOf } from '../diagnosis'
import { seededRandom, type Random } from '../statistics'
import { BEAD_CARDS, seedOf, type BeadCardId, type Showing } from './beadCards'

/** How many answers a bead is given with. */
export const CHOICES = 5
/** How many of them are the likest rivals. */
const RIVALS = 3

/**
 * How alike two causes look: the cosine between the chances with which they show each sign, 0 to 1.
 * A right bead is as like every cause as any.
 */
export function likeness(one: BeadCardId, other: BeadCardId): number {
  if (one === 'right' || other === 'right') return 0.5
  const [a, b] = [causeOf(one).shows, causeOf(other).shows]
  const length = (shows: typeof a) => Math.sqrt(Object.values(shows).reduce((sum, share) => sum + share ** 2, 0))
  const dot = Object.entries(a).reduce((sum, [sign, share]) => sum + share * (b[sign as keyof typeof b] ?? 0), 0)
  return dot / (length(a) * length(b))
}

/**
 * The answers a showing is given with, shuffled: the true one, its likest rivals, and others; the same after a reload.
 * @param about whether they are asked as causes or as changes: the two are shuffled apart
 * @example choicesFor({ card: 'arc long', shown: 0, known: 0 }, 'cause').includes('arc long') // true
 */
export function choicesFor(showing: Showing, about: 'cause' | 'change'): BeadCardId[] {
  const draw = seededRandom(seedOf(showing))
  const others = BEAD_CARDS.filter(id => id !== showing.card)
  const rivals = [...others].sort((a, b) => likeness(showing.card, b) - likeness(showing.card, a)).slice(0, RIVALS)
  const rest = shuffled(
    others.filter(id => !rivals.includes(id)),
    draw,
  )
  const chosen = [showing.card, ...rivals, ...rest].slice(0, CHOICES)
  return shuffled(chosen, seededRandom(seedOf(showing) * 2 + (about === 'cause' ? 0 : 1)))
}

/** Fisher and Yates. */
function shuffled<T>(items: readonly T[], random: Random): T[] {
  const left = [...items]
  return items.map(() => left.splice(Math.floor(random.uniform() * left.length), 1)[0]!)
}
