import type { Ladder } from './ladder'

/** What a ticket says of its rung. */
export interface TicketRung {
  readonly rung: string
  readonly rungId?: string
}

/** A stub day or the other hand is said behind the rung's name. */
const SAID_BEHIND = /, (stubs|other hand)$/

/**
 * Finds the rung that a ticket was run for: by its id where the ticket says it, else by its name, as the ladder calls
 * it now or once called it. A stub day counts for the plain rung when the ladder has none of that name.
 * @param former the ladders there were before, newest first
 * @returns the rung's id; null for a rung that no ladder has had
 * @example rungFinder(FULL_LADDER)({ rung: 'flat pad, stubs' }) // 'flat-pad'
 */
export function rungFinder(ladder: Ladder, former: readonly Ladder[] = []): (ticket: TicketRung) => string | null {
  const ids = new Set(ladder.rungs.map(rung => rung.id))
  const names = new Map<string, string>()
  for (const { rungs } of [ladder, ...former])
    for (const { id, name } of rungs) if (ids.has(id) && !names.has(name)) names.set(name, id)
  return ({ rung, rungId }) => {
    if (rungId !== undefined && ids.has(rungId)) return rungId
    return names.get(rung) ?? names.get(rung.replace(SAID_BEHIND, '')) ?? null
  }
}
