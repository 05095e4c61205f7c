import { causeOf, type CauseId } from '../diagnosis'
import type { Technique } from '../simulate'

/** Something to recognise: one cause that shows on a single bead, or nothing wrong. */
export type BeadCardId = CauseId | 'right'

/**
 * In the order they are brought in: the plainest pairs first, then what is told apart with more care. Common
 * practice.
 */
export const BEAD_CARDS: readonly BeadCardId[] = [
  'current high',
  'current low',
  'right',
  'travel fast',
  'travel slow',
  'arc long',
  'unsteady feed',
  'too long in crater',
  'too short in crater',
  'arc short',
  'crater left',
  'bracing',
  'strike',
  'damp rod',
  'not cleaned',
  'work angle',
  'travel angle',
  'plate hot',
]

/** What a card is called when it is named. */
export const nameOfCard = (id: BeadCardId): string => (id === 'right' ? 'Nothing wrong' : causeOf(id).name)

/** What a card asks to be changed. */
export const changeOfCard = (id: BeadCardId): string =>
  id === 'right' ? 'Nothing: run the next one like it' : causeOf(id).change

/** The work angle shows on a horizontal bead; the rest on a flat one. */
export const positionOfCard = (id: BeadCardId): '1G' | '2G' => (id === 'work angle' ? '2G' : '1G')

/** How plainly a card shows: gross at first, nearer to right each time it was known. */
const PLAIN = { first: 1.35, step: 0.12, least: 0.75 }

/**
 * The techniques of a card, from as subtle as it is known to as plain as at first.
 * @param known how well it is known: how often it was named rightly, less what was lost since
 * @example techniquesOfCard('arc long', 1) // [{ 'arc long': 1.23 }, { 'arc long': 1.35 }]
 */
export function techniquesOfCard(id: BeadCardId, known: number): Technique[] {
  if (id === 'right') return [{}]
  const least = Math.max(PLAIN.least, PLAIN.first - PLAIN.step * known)
  const steps = Math.round((PLAIN.first - least) / PLAIN.step)
  return Array.from({ length: steps + 1 }, (_, n) => ({ [id]: Math.min(PLAIN.first, least + PLAIN.step * n) }))
}

/** One showing of a card. */
export interface Showing {
  readonly card: BeadCardId
  /** How often it was shown before, and how well it was known then. */
  readonly shown: number
  readonly known: number
}

/** The seed of a showing: another bead each time, and the same one again after a reload. */
export const seedOf = ({ card, shown }: Showing): number => 1000 * (1 + BEAD_CARDS.indexOf(card)) + shown
