import { ordinal } from './ordinal'

/** A booth as a screen on the wall shows it. */
export interface WallPlace {
  readonly id: string
  readonly booth: number | null
  /** First name, and as much of the last as tells two apart. */
  readonly name: string
  readonly state: 'read now' | 'waits' | 'not read' | 'read'
  readonly says: string
}

interface OnFloor {
  readonly id: string
  readonly name: string
  readonly booth: number | null
  readonly readToday: boolean
}

const MINUTE_MS = 60_000
/**
 * Names for a wall: the first name, with the first letter of the last where two share it, and the whole name where
 * even that is the same.
 * @example wallNames(['Ada Lorne', 'Ada Quist', 'Bo Tarn']) // ['Ada L.', 'Ada Q.', 'Bo']
 */
export function wallNames(names: readonly string[]): string[] {
  const short = (name: string) => name.trim().split(/\s+/)[0]!
  const longer = (name: string) => {
    const [first, ...rest] = name.trim().split(/\s+/)
    return rest.length === 0 ? first! : `${first} ${[...rest.at(-1)!][0]}.`
  }
  const alone = (said: string, by: (name: string) => string) => names.filter(name => by(name) === said).length === 1
  return names.map(name =>
    alone(short(name), short) ? short(name) : alone(longer(name), longer) ? longer(name) : name,
  )
}

/**
 * A class as a wall screen shows it, booth by booth; who has none stands last. Who is read comes before who waits, and
 * a wait says its place and its minutes.
 * @param waiting in the order in which they are read; @param holds whose coupon is read now
 * @example wallPlaces(students, [], [], now)[0] // { booth: 1, name: 'Hollis', state: 'not read', says: 'not read' }
 */
export function wallPlaces(
  students: readonly OnFloor[],
  waiting: readonly { readonly studentId: string; readonly since: string }[],
  holds: readonly { readonly studentId: string }[],
  now: Date,
): WallPlace[] {
  const ordered = [...students].sort(
    (a, b) => (a.booth ?? Infinity) - (b.booth ?? Infinity) || a.name.localeCompare(b.name),
  )
  const names = wallNames(ordered.map(student => student.name))
  return ordered.map(({ id, booth, readToday }, n) => {
    const place = waiting.findIndex(one => one.studentId === id)
    const state = holds.some(one => one.studentId === id)
      ? ('read now' as const)
      : place >= 0
        ? ('waits' as const)
        : readToday
          ? ('read' as const)
          : ('not read' as const)
    const minutes = place < 0 ? 0 : Math.floor((now.getTime() - Date.parse(waiting[place]!.since)) / MINUTE_MS)
    const says = state === 'waits' ? `${ordinal(place + 1)}, ${Math.max(0, minutes)} min` : SAYS[state]
    return { id, booth, name: names[n]!, state, says }
  })
}
const SAYS = { 'read now': 'at the bench', 'read': 'read', 'not read': 'not read' } as const

/** A booth on the wall is about this many times as wide as high, on a screen that is wider still. */
const WIDER = 1.5

/**
 * Columns for a number of booths on a wall screen: about as many as make them square, with as few places left empty as
 * can be.
 * @example wallColumns(12) // 4, in three rows
 */
export function wallColumns(booths: number): number {
  const square = Math.sqrt(booths * WIDER)
  const empty = (columns: number) => Math.ceil(booths / columns) * columns - booths
  const [fewer, more] = [Math.max(1, Math.floor(square)), Math.max(1, Math.ceil(square))]
  return empty(fewer) < empty(more) ? fewer : more
}
