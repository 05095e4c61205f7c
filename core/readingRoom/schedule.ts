import { createEmptyCard, fsrs, Rating, type Card, type Grade } from 'ts-fsrs'
import { BEAD_CARDS, type BeadCardId, type Showing } from './beadCards'

/** What was said of a shown bead, and when (ISO 8601, UTC). */
export interface BeadAnswer {
  readonly card: BeadCardId
  readonly cause: BeadCardId
  readonly change: BeadCardId
  readonly at: string
}

/** Named, and the right change with it; named only; or not known. */
export type Knew = 'both' | 'cause' | 'neither'

/** @example knew({ card: 'arc long', cause: 'arc long', change: 'current high', at }) // 'cause' */
export function knew({ card, cause, change }: BeadAnswer): Knew {
  if (cause !== card) return 'neither'
  return change === card ? 'both' : 'cause'
}

const GRADES: Readonly<Record<Knew, Grade>> = { both: Rating.Good, cause: Rating.Hard, neither: Rating.Again }
/** One of five answers is right by luck: the first time it is named, or after a lapse, counts as hardly known. */
const gradeOf = (answer: BeadAnswer, knownBefore: number): Grade =>
  knew(answer) === 'both' && knownBefore === 0 ? Rating.Hard : GRADES[knew(answer)]

/** How much of what was known a lapse loses. */
const LOST_BY_A_LAPSE = 2
const knownAfter = (known: number, answer: BeadAnswer): number =>
  knew(answer) === 'neither' ? Math.max(0, known - LOST_BY_A_LAPSE) : known + 1

/**
 * Days of forgetting are those of the package's published defaults (FSRS); nothing is left to chance, and nothing
 * waits over half a year.
 */
const scheduler = fsrs({ enable_fuzz: false, maximum_interval: 180 })

/** How many new cards a day brings. */
export const NEW_A_DAY = 6

/** Where a card stands with a reader: its showings so far, and when it is due; null while it is new. */
export interface CardState extends Showing {
  readonly due: Date | null
}

/**
 * Where each card stands after these answers, oldest first. Nothing is kept but the answers: the rest follows from
 * them.
 */
export function cardStates(answers: readonly BeadAnswer[]): CardState[] {
  return BEAD_CARDS.map(card => {
    const given = answers.filter(answer => answer.card === card)
    let memory: Card | null = null
    let known = 0
    for (const answer of given) {
      const at = new Date(answer.at)
      memory = scheduler.next(memory ?? createEmptyCard(at), at, gradeOf(answer, known)).card
      known = knownAfter(known, answer)
    }
    return { card, shown: given.length, known, due: memory?.due ?? null }
  })
}

/** What is to be shown next, and how much waits. */
export interface NextCard {
  readonly showing: Showing
  /** Whether it is due; when not, it is shown ahead of its time. */
  readonly due: boolean
  /** How many are due now, new ones of today with them. */
  readonly waiting: number
  /** When the next is due; null when one is due now. */
  readonly nextAt: Date | null
}

/**
 * The card to show: what is overdue first, then today's new ones in their order, then the card that comes due soonest.
 * @param answers oldest first
 * @param dayStart when the reader's day began
 * @example nextCard([], now, dayStart).showing.card // 'current high'
 */
export function nextCard(answers: readonly BeadAnswer[], now: Date, dayStart: Date): NextCard {
  const states = cardStates(answers)
  const soonest = states.filter(state => state.due !== null).sort((a, b) => a.due!.getTime() - b.due!.getTime())
  const overdue = soonest.filter(state => state.due! <= now)
  const broughtToday = states.filter(
    state => state.due !== null && new Date(answers.find(answer => answer.card === state.card)!.at) >= dayStart,
  ).length
  const fresh = states.filter(state => state.due === null).slice(0, Math.max(0, NEW_A_DAY - broughtToday))
  const queue = [...overdue, ...fresh]
  const last = answers.at(-1)?.card
  // The bead just answered does not come straight back while another waits.
  const chosen =
    queue.find(state => state.card !== last) ?? queue[0] ?? soonest.find(state => state.card !== last) ?? states[0]!
  return {
    showing: chosen,
    due: queue.length > 0,
    waiting: queue.length,
    nextAt: queue.length > 0 ? null : soonest[0]!.due,
  }
}
