import { handfulsOf, stockOf, type MovementKind, type RodMovement, type Stubs } from './movements'

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
 * oven is drawn or binned whole; one that is out is in no store any more.
 * @param book all lines of that lot
 */
export function bookLine(
  id: string,
  { lotId, kind, count, handfulId, studentId, booth, stubs, why }: SaidOfRods,
  book: readonly RodMovement[],
  { by, now }: { readonly by: string; readonly now: Date },
): RodMovement {
  const apart = handfulsOf(book).find(one => one.id === handfulId)?.inOven ?? 0
  const changes: Readonly<Record<MovementKind, number>> = {
    'received': count,
    'issued': handfulId ? -apart : -count,
    'returned': count,
    're-dried': 0,
    'binned': handfulId ? -apart : -count,
    'counted': count - (stockOf(book).get(lotId) ?? 0),
  }
  return {
    id,
    lotId,
    kind,
    // No minus nought: a line is the same line however it was written.
    rods: changes[kind] || 0,
    ...(handfulId && { handfulId }),
    ...(studentId && { studentId }),
    ...(booth && { booth }),
    ...(stubs && { stubs }),
    why,
    at: now.toISOString(),
    by,
  }
}
