import { daysBetween } from '~~/core/calendar'
import { currentRung } from '~~/core/ladder'
import type { BoardRow } from '~~/contract/progress'

/** How the Board is put in order. */
export const BOARD_ORDERS = ['by name', 'ready to move up', 'stuck longest', 'most improved', 'longest away'] as const
export type BoardOrder = (typeof BOARD_ORDERS)[number]

/** Rungs that may be signed off now. */
export const readyCount = ({ climb }: BoardRow): number => climb.filter(state => state.status === 'ready').length

/** Coupons run on the rung a student is on without its being signed off or ready. */
export const stuckFor = ({ climb }: BoardRow): number => currentRung(climb)?.stuck ?? 0

/** How far up: rungs signed off, and the share of the next. */
export const height = ({ climb }: BoardRow): number =>
  climb.filter(state => state.status === 'signed off').length + (currentRung(climb)?.share ?? 0)

const RANKS: Readonly<Record<Exclude<BoardOrder, 'by name'>, (row: BoardRow) => number>> = {
  'ready to move up': row => 100 * readyCount(row) + height(row),
  'stuck longest': stuckFor,
  'most improved': row => row.improved,
  'longest away': row => -(row.lastDay === null ? 0 : Date.parse(row.lastDay)),
}

/** The rows in an order; equals stay by name. */
export function inOrder(rows: readonly BoardRow[], order: BoardOrder): BoardRow[] {
  const byName = [...rows].sort((a, b) => a.student.name.localeCompare(b.student.name, 'en'))
  return order === 'by name' ? byName : byName.sort((a, b) => RANKS[order](b) - RANKS[order](a))
}

/** What stands beside the name in an order: why the row is where it is. */
export function reasonOf(row: BoardRow, order: BoardOrder, today: string): string {
  switch (order) {
    case 'ready to move up':
      return readyCount(row) > 0 ? `${readyCount(row)} ready` : ''
    case 'stuck longest':
      return stuckFor(row) > 0 ? `${stuckFor(row)} coupons` : ''
    case 'most improved':
      return row.coupons > 0 ? `${row.improved >= 0 ? '+' : '−'}${Math.abs(Math.round(row.improved * 100))} in 100` : ''
    case 'longest away':
      return awayFor(row.lastDay, today)
    case 'by name':
      return ''
  }
}

/** @example awayFor('2026-10-05', '2026-10-12') // '7 days' */
export function awayFor(lastDay: string | null, today: string): string {
  if (lastDay === null) return 'no coupon yet'
  const days = daysBetween(lastDay, today)
  return days <= 0 ? 'today' : days === 1 ? '1 day' : `${days} days`
}
