import { nextPreset } from '../setup'
import type { CouponDocument, Ticket } from './document'
import type { Pass } from './pass'
import { isPlate, type Piece } from './piece'

/** What a student's next coupon is opened from: the last one as it was run, without what was of that day only. */
export interface RunAgain {
  readonly ticket: Ticket
  readonly piece: Piece
  /** Beads of a plate; 1 for a joint, which has its passes. */
  readonly beadCount: number
  readonly passes?: readonly Pass[]
  /** What the fit-up asks of the next, degrees; null where none was kept. */
  readonly nextPresetDegrees: number | null
}

/**
 * How to run a coupon again: its ticket, its piece, its beads or passes without their log, and the next pre-set.
 * @example runAgain(pad).beadCount // 6
 */
export function runAgain({ ticket, piece, beads, passes, fitUp }: CouponDocument): RunAgain {
  return {
    ticket,
    piece,
    beadCount: isPlate(piece) ? beads.length : 1,
    ...(passes ? { passes: passes.map(({ log: _, ...pass }) => pass) } : {}),
    nextPresetDegrees: fitUp ? nextPreset(fitUp) : null,
  }
}

/**
 * The same settings for another welder, as where several read at one table ran one exercise: the hand and the booth
 * are the welder's own.
 * @example runAgainBy(runAgain(pad), { hand: 'left', booth: 4 }).ticket.hand // 'left'
 */
export const runAgainBy = (
  { ticket, ...settings }: RunAgain,
  { hand, booth }: Pick<Ticket, 'hand' | 'booth'>,
): RunAgain => ({ ...settings, nextPresetDegrees: null, ticket: { ...ticket, hand, booth } })
