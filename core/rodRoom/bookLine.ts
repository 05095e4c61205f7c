import { handfulsOf, type MovementKind, type RodMovement } from './movements'
import type { Stubs } from './stubs'

/** What a person says happened to rods. */
export interface SaidOfRods {
  readonly lotId: string
  readonly kind: MovementKind
  /** Rods that came, were drawn, came back whole, were binned; for a count, what lies there. */
  readonly count: number
  readonly handfulId: string | null
  readonly studentId: string | null
  readonly booth: number | null
  readonly stubs: Stubs | null
  readonly why: string
}

/**
 * The line of the book that a person's words come to: by how many the store changes. A handful that lies apart in the
 * oven is drawn or binned whole; one that is out is in no store any more. The person who brings rods back is the one
 * who drew them, where no other is named.
 * @param book all lines of the handful that is meant, at least
 * @param stock rods of the lot that lie there by the book, as it stood at that moment
 */
export function bookLine(
  id: string,
  { lotId, kind, count, handfulId, studentId, booth, stubs, why }: SaidOfRods,
  book: readonly RodMovement[],
  { by, now, stock }: { readonly by: string; readonly now: Date; readonly stock: number },
): RodMovement {
  const handful = handfulsOf(book).find(one => one.id === handfulId)
  const apart = handful?.inOven ?? 0
  const who = studentId ?? (kind === 'returned' ? handful?.studentId : null)
  const changes: Readonly<Record<MovementKind, number>> = {
    'received': count,
    'issued': handfulId ? -apart : -count,
    'returned': count,
    're-dried': 0,
    'binned': handfulId ? -apart : -count,
    'counted': count - stock,
  }
  return {
    id,
    lotId,
    kind,
    // No minus nought: a line is the same line however it was written.
    rods: changes[kind] || 0,
    ...(handfulId && { handfulId }),
    ...(who && { studentId: who }),
    ...(booth && { booth }),
    ...(stubs && { stubs }),
    why,
    at: now.toISOString(),
    by,
  }
}
