import type { HandfulEvent } from './exposure'
import type { Stubs } from './stubs'

/** What happens to rods of a lot. Each is a line of its own: two tablets at once lose nothing. */
export const MOVEMENT_KINDS = ['received', 'issued', 'returned', 're-dried', 'binned', 'counted'] as const
export type MovementKind = (typeof MOVEMENT_KINDS)[number]

/** A line of the rod room's book. */
export interface RodMovement {
  readonly id: string
  readonly lotId: string
  readonly kind: MovementKind
  /** Rods that came into the store, or went out of it: by how many the stock changes. */
  readonly rods: number
  /** The handful it is about: the movement by which it was first issued. Absent for what is about the lot. */
  readonly handfulId?: string
  /** Who drew them; absent where it is not known, or they were for a booth. */
  readonly studentId?: string
  readonly booth?: number
  readonly stubs?: Stubs
  readonly why: string
  /** ISO 8601. */
  readonly at: string
  readonly by: string
}

/** Rods of each lot in the store. Under nought where the book and the shelf disagree: then they are counted. */
export function stockOf(movements: readonly RodMovement[]): ReadonlyMap<string, number> {
  const stock = new Map<string, number>()
  for (const { lotId, rods } of movements) stock.set(lotId, (stock.get(lotId) ?? 0) + rods)
  return stock
}

/** The book as it stood at a moment. @param at ISO 8601, in UTC */
export const bookUntil = (movements: readonly RodMovement[], at: string): RodMovement[] =>
  movements.filter(line => line.at <= at)

/**
 * The count of a lot that came first after a line: what was counted then lay there then, even where a line is written
 * down late, so that the line changes what the count came to, and not what is there. Null where
 * they were not counted since.
 */
export const countAfter = (
  movements: readonly RodMovement[],
  { lotId, at }: Pick<RodMovement, 'lotId' | 'at'>,
): RodMovement | null =>
  movements
    .filter(line => line.kind === 'counted' && line.lotId === lotId && line.at > at)
    .reduce<RodMovement | null>((first, line) => (first && first.at <= line.at ? first : line), null)

/** Rods that were drawn together, and what became of them. */
export interface Handful {
  readonly id: string
  readonly lotId: string
  readonly studentId: string | null
  readonly booth: number | null
  /** How many are out now: 0 once they are back, in the oven or as stubs. */
  readonly out: number
  /** How many lie in the oven again, kept apart. */
  readonly inOven: number
  readonly events: readonly HandfulEvent[]
}

/**
 * The handfuls of a book, in the order in which they were first drawn; those binned or used up are left out, and those
 * whose drawing is not in it.
 */
export function handfulsOf(movements: readonly RodMovement[]): Handful[] {
  const handfuls = new Map<string, Handful>()
  const inOrder = [...movements].sort((a, b) => a.at.localeCompare(b.at) || a.id.localeCompare(b.id))
  // What came back was drawn before, even where another tablet's or server's clock is wrong.
  const drawings = inOrder.filter(line => !line.handfulId)
  for (const line of [...drawings, ...inOrder.filter(one => one.handfulId)]) {
    const id = line.handfulId ?? line.id
    const handful = handfuls.get(id) ?? (line.kind === 'issued' && !line.handfulId ? begun(line) : null)
    if (handful) handfuls.set(id, withLine(handful, line))
  }
  return [...handfuls.values()].filter(handful => handful.out > 0 || handful.inOven > 0)
}

const begun = ({ id, lotId, studentId, booth }: RodMovement): Handful => ({
  id,
  lotId,
  studentId: studentId ?? null,
  booth: booth ?? null,
  out: 0,
  inOven: 0,
  events: [],
})

function withLine(handful: Handful, { kind, rods, studentId, booth, at }: RodMovement): Handful {
  const event = (what: HandfulEvent['kind']) => [...handful.events, { kind: what, at }]
  if (kind === 'issued') {
    const who = { studentId: studentId ?? handful.studentId, booth: booth ?? handful.booth }
    return {
      ...handful,
      ...who,
      out: handful.out - rods,
      inOven: Math.max(0, handful.inOven + rods),
      events: event('out'),
    }
  }
  // A student who brings rods back brings all that is left of them: the rest is burnt.
  if (kind === 'returned') return { ...handful, out: 0, inOven: handful.inOven + rods, events: event('in') }
  if (kind === 're-dried') return { ...handful, events: event('re-dried') }
  if (kind === 'binned') return { ...handful, out: 0, inOven: 0 }
  return handful
}
