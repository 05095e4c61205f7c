import type { ElementId } from '../grading'
import type { PieceKind, PositionId } from '../trade'
import type { SignOffRule } from './signOffRule'

/** A rung: what is welded on it, what it needs first, what it trains, and when it may be signed off. */
export interface LadderRung {
  /** Kept when the rung is renamed or moved: sign-offs name it. */
  readonly id: string
  /** As it stands on the ticket: coupons are counted for the rung of their ticket. */
  readonly name: string
  readonly piece: PieceKind
  readonly position: PositionId
  /** A groove with an open root. */
  readonly open: boolean
  readonly rods: 'new' | 'stubs'
  readonly hand: 'own' | 'other'
  /** How many coupons it usually takes. */
  readonly coupons: number
  /** Ids of the rungs that are signed off first. */
  readonly needs: readonly string[]
  /** What it trains above all. */
  readonly trains: readonly ElementId[]
  readonly signOff: SignOffRule
  /** No longer climbed; kept because sign-offs name it. */
  readonly retired: boolean
}

/** A school's ladder, in the order in which it is shown and usually climbed. */
export interface Ladder {
  readonly name: string
  readonly rungs: readonly LadderRung[]
}

/** The rungs that are climbed. */
export const rungsInUse = ({ rungs }: Ladder): readonly LadderRung[] => rungs.filter(rung => !rung.retired)

/**
 * The rung that a ticket is run for; undefined when the ladder has none of that name.
 * @example rungNamed(FULL_LADDER, 'flat pad')?.position // '1G'
 */
export const rungNamed = (ladder: Ladder, name: string): LadderRung | undefined =>
  ladder.rungs.find(rung => rung.name === name)
