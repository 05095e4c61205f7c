import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import {
  addFixture,
  boothState,
  fixtureAt,
  MOST_ROWS,
  moveFixture,
  nextBooth,
  planFaults,
  roomOfBooths,
  takeAway,
  type ShopRoom,
} from '.'

const room = roomOfBooths([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12], 'Shop')

describe('a shop that nobody has laid out', () => {
  it('is rows of booths in order, wider than high, with none twice', () => {
    expect([room.columns, room.rows]).toEqual([5, 3])
    expect(fixtureAt(room, 0, 1)).toMatchObject({ kind: 'booth', booth: 6 })
    expect(roomOfBooths([7, 3, 3], 'Shop').fixtures.map(one => one.booth)).toEqual([3, 7])
    expect(roomOfBooths([], 'Shop')).toMatchObject({ columns: 1, rows: 1, fixtures: [] })
  })
  it('has no more rows than a room may have, however few were to stand in a row', () => {
    const long = roomOfBooths(
      Array.from({ length: 60 }, (_, n) => n + 1),
      'Shop',
      1,
    )
    expect([long.columns, long.rows]).toEqual([6, MOST_ROWS])
  })
  it('never stands outside itself, whatever the booths', () =>
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 999 }), { maxLength: 60 }), booths => {
        const made = roomOfBooths(booths, 'Shop')
        expect(made.fixtures).toHaveLength(booths.length)
        expect(planFaults({ rooms: [made] })).toEqual([])
      }),
    ))
})

describe('moving about', () => {
  it('onto a free place, or in exchange with what stands there; never out of the room', () => {
    const swapped = moveFixture(room, { column: 0, row: 0 }, { column: 1, row: 0 })
    expect([fixtureAt(swapped, 0, 0)?.booth, fixtureAt(swapped, 1, 0)?.booth]).toEqual([2, 1])
    const moved = moveFixture(room, { column: 0, row: 0 }, { column: 4, row: 2 })
    expect([fixtureAt(moved, 0, 0), fixtureAt(moved, 4, 2)?.booth]).toEqual([null, 1])
    for (const to of [
      { column: -1, row: 0 },
      { column: 5, row: 0 },
      { column: 0, row: 3 },
    ])
      expect(moveFixture(room, { column: 0, row: 0 }, to)).toBe(room)
  })
  it('keeps everything, and nothing twice on one place, whatever is moved', () => {
    const place = fc.record({ column: fc.integer({ min: -1, max: 5 }), row: fc.integer({ min: -1, max: 3 }) })
    fc.assert(
      fc.property(fc.array(fc.tuple(place, place), { maxLength: 20 }), moves => {
        const after = moves.reduce((now: ShopRoom, [from, to]) => moveFixture(now, from, to), room)
        expect(after.fixtures.map(one => one.booth).sort()).toEqual(room.fixtures.map(one => one.booth).sort())
        expect(planFaults({ rooms: [after] })).toEqual([])
      }),
    )
  })
  it('what is added takes the first free place, where there is one; a booth gets the next number', () => {
    const bare = takeAway(room, { column: 2, row: 0 })
    expect(fixtureAt(bare, 2, 0)).toBeNull()
    expect(fixtureAt(addFixture(bare, { kind: 'oven', booth: null }), 2, 0)?.kind).toBe('oven')
    const full = [1, 2, 3].reduce((now: ShopRoom) => addFixture(now, { kind: 'door', booth: null }), room)
    expect(addFixture(full, { kind: 'door', booth: null })).toBe(full)
    expect(nextBooth({ rooms: [room, roomOfBooths([40], 'Pipe')] })).toBe(41)
    expect(nextBooth({ rooms: [] })).toBe(1)
  })
})

describe('what a plan cannot be', () => {
  const oven = { kind: 'oven' as const, booth: null, column: 0, row: 0 }
  const faults = (...rooms: ShopRoom[]) => planFaults({ rooms }).map(fault => fault.message)
  it.each([
    ['a booth twice in two rooms', [room, roomOfBooths([3], 'Pipe')], 'Pipe: booth 3 stands twice in the shop'],
    [
      'two things on one place',
      [{ ...room, fixtures: [...room.fixtures, oven] }],
      'Shop: two things stand on one place',
    ],
    ['outside', [{ ...room, rows: 2 }], 'Shop: booth stands outside the room'],
    ['no name', [{ ...room, name: ' ' }], 'A room has a name'],
    [
      'an oven with a number',
      [{ ...room, fixtures: [{ ...oven, booth: 4 }] }],
      'Shop: a booth has a number, and nothing else has',
    ],
  ] as const)('%s', (_, rooms, says) => expect(faults(...(rooms as unknown as ShopRoom[]))[0]).toBe(says))
})

describe('how a booth stands', () => {
  const here = { here: true, waits: false, readNow: false }
  it.each([
    [here, false, 'welding'],
    [{ ...here, waits: true }, false, 'waits'],
    [{ ...here, here: false, waits: true }, false, 'waits'],
    [{ ...here, waits: true, readNow: true }, false, 'read now'],
    [{ ...here, here: false }, false, 'away'],
    [null, false, 'empty'],
    [{ ...here, waits: true }, true, 'out of service'],
    [null, true, 'out of service'],
  ] as const)('%j, out of service %s: %s', (who, out, state) => expect(boothState(who, out)).toBe(state))
})
