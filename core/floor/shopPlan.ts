import type { BoothMeans } from './boothMeans'

/** What stands in a shop. A booth has its number; the rest is what it is. */
export type FixtureKind = 'booth' | 'pipe stand' | 'table' | 'grinders' | 'oven' | 'bend press' | 'door'
export const FIXTURE_KINDS: readonly FixtureKind[] = [
  'booth',
  'pipe stand',
  'table',
  'grinders',
  'oven',
  'bend press',
  'door',
]

/** A thing on its place of a room's grid; columns and rows from 0, the first row at the top. */
export interface Fixture {
  readonly kind: FixtureKind
  /** Null for all but a booth. */
  readonly booth: number | null
  readonly column: number
  readonly row: number
  /** What a booth is good for; absent where it is good for everything. */
  readonly means?: BoothMeans
}

/** A room as it is seen from above, on a grid of places. */
export interface ShopRoom {
  readonly name: string
  readonly columns: number
  readonly rows: number
  readonly fixtures: readonly Fixture[]
}

/** The shop as it is laid out. */
export interface ShopPlan {
  readonly rooms: readonly ShopRoom[]
}

/** The most columns and rows of a grid, and the most rooms of a shop. */
export const MOST_COLUMNS = 12
export const MOST_ROWS = 10
export const MOST_ROOMS = 8
export const MOST_BOOTH = 999

/** What stands on a place; null where it is an aisle. */
export const fixtureAt = ({ fixtures }: ShopRoom, column: number, row: number): Fixture | null =>
  fixtures.find(one => one.column === column && one.row === row) ?? null

/** Booths are drawn about this many times as wide as high. */
const WIDER = 1.4

/**
 * A room of booths in rows, in order: about as wide as a screen where it is not said how many stand in a row; more in a
 * row than was said where a room would have too many rows.
 * @example roomOfBooths([3, 1, 2], 'Shop').columns // 3
 */
export function roomOfBooths(booths: readonly number[], name: string, inARow = columnsFor(booths.length)): ShopRoom {
  const ordered = [...new Set(booths)].sort((a, b) => a - b)
  const columns = Math.max(inARow, Math.ceil(ordered.length / MOST_ROWS))
  return {
    name,
    columns,
    rows: Math.max(1, Math.ceil(ordered.length / columns)),
    fixtures: ordered.map((booth, n) => ({
      kind: 'booth' as const,
      booth,
      column: n % columns,
      row: Math.floor(n / columns),
    })),
  }
}
const columnsFor = (booths: number) => Math.min(MOST_COLUMNS, Math.max(1, Math.ceil(Math.sqrt(booths * WIDER))))

/**
 * A thing moved to another place; what stood there takes its place. Nothing moves outside the grid, nor where nothing
 * stands.
 * @example moveFixture(room, { column: 0, row: 0 }, { column: 1, row: 0 })
 */
export function moveFixture(
  room: ShopRoom,
  from: Pick<Fixture, 'column' | 'row'>,
  to: Pick<Fixture, 'column' | 'row'>,
): ShopRoom {
  const inside = to.column >= 0 && to.column < room.columns && to.row >= 0 && to.row < room.rows
  if (!inside || !fixtureAt(room, from.column, from.row)) return room
  const at = (one: Fixture, place: typeof from) => one.column === place.column && one.row === place.row
  return {
    ...room,
    fixtures: room.fixtures.map(one =>
      at(one, from)
        ? { ...one, column: to.column, row: to.row }
        : at(one, to)
          ? { ...one, column: from.column, row: from.row }
          : one,
    ),
  }
}

/** A thing put on the first free place, row by row; the same room where there is none. */
export function addFixture(room: ShopRoom, what: Pick<Fixture, 'kind' | 'booth'>): ShopRoom {
  for (let row = 0; row < room.rows; row++)
    for (let column = 0; column < room.columns; column++)
      if (!fixtureAt(room, column, row)) return { ...room, fixtures: [...room.fixtures, { ...what, column, row }] }
  return room
}

/** What stands on a place taken away. */
export const takeAway = (room: ShopRoom, { column, row }: Pick<Fixture, 'column' | 'row'>): ShopRoom => ({
  ...room,
  fixtures: room.fixtures.filter(one => one.column !== column || one.row !== row),
})

/** The number that the next booth gets: one more than the highest of the shop. */
export const nextBooth = ({ rooms }: ShopPlan): number =>
  Math.max(0, ...rooms.flatMap(room => room.fixtures.map(one => one.booth ?? 0))) + 1

/** Something that a plan cannot be; the path names the room. */
export interface PlanFault {
  readonly path: string
  readonly message: string
}

/** What of a plan does not go together; empty when all of it does. */
export function planFaults({ rooms }: ShopPlan): PlanFault[] {
  const seen = new Set<number>()
  return rooms.flatMap((room, n): PlanFault[] => {
    const path = `plan.rooms[${n}]`
    const places = new Set<string>()
    const named = room.name.trim() === '' ? [{ path: `${path}.name`, message: 'A room has a name' }] : []
    return [
      ...named,
      ...room.fixtures.flatMap(({ kind, booth, column, row }): PlanFault[] => {
        const fault = (message: string) => [{ path: `${path}.fixtures`, message: `${room.name}: ${message}` }]
        if (column >= room.columns || row >= room.rows) return fault(`${kind} stands outside the room`)
        if (places.has(`${column} ${row}`)) return fault('two things stand on one place')
        places.add(`${column} ${row}`)
        if ((kind === 'booth') !== (booth !== null)) return fault('a booth has a number, and nothing else has')
        if (booth === null) return []
        if (seen.has(booth)) return fault(`booth ${booth} stands twice in the shop`)
        seen.add(booth)
        return []
      }),
    ]
  })
}
