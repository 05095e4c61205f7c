import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  anHour,
  minutesAReading,
  minutesUntil,
  queueOrder as orderBy,
  USUAL_MINUTES,
  type InQueue,
  type ReadAt,
} from '.'

const queueOrder = <T extends InQueue>(waiting: readonly T[]) => orderBy(waiting, 'unread first')

const at = (minute: number) => new Date(Date.UTC(2026, 10, 27, 18, minute)).toISOString()
const waits = fc.array(
  fc.record({ id: fc.uuid(), since: fc.integer({ min: 0, max: 200 }).map(at), readToday: fc.boolean() }),
  { maxLength: 24 },
)

describe('whom to read next', () => {
  it('is whoever has not been read today, and of those whoever has waited longest', () => {
    const order = queueOrder([
      { id: 'read, longest', since: at(0), readToday: true },
      { id: 'not read, late', since: at(30), readToday: false },
      { id: 'not read, early', since: at(10), readToday: false },
    ])
    expect(order.map(one => one.id)).toEqual(['not read, early', 'not read, late', 'read, longest'])
  })
  it('is whoever has waited longest, where the house says so', () => {
    const order = orderBy(
      [
        { id: 'not read, late', since: at(30), readToday: false },
        { id: 'read, longest', since: at(0), readToday: true },
      ],
      'longest wait',
    )
    expect(order.map(one => one.id)).toEqual(['read, longest', 'not read, late'])
  })
  it('nobody is lost or doubled, and what goes in comes out in the same order whatever order it came in', () => {
    fc.assert(
      fc.property(waits, all => {
        const order = queueOrder(all)
        expect(order.map(one => one.id).sort()).toEqual(all.map(one => one.id).sort())
        const key = (one: (typeof all)[number]) => `${one.readToday} ${one.since}`
        expect(order.map(key)).toEqual(queueOrder([...all].reverse()).map(key))
      }),
    )
  })
  it('nobody who waits is overtaken but by somebody not read today', () => {
    fc.assert(
      fc.property(waits, all => {
        const order = queueOrder(all)
        for (const [n, one] of order.entries())
          for (const later of order.slice(n + 1))
            expect(later.readToday || !one.readToday ? later.readToday || later.since >= one.since : false).toBe(true)
      }),
    )
  })
  it('who joins does not move those who have waited as long or longer and are as unread', () => {
    fc.assert(
      fc.property(waits, all => {
        const late = { id: 'late', since: at(300), readToday: true }
        expect(queueOrder([...all, late]).at(-1)).toBe(late)
      }),
    )
  })
})

describe('how long it takes', () => {
  const read = (by: string, ...minutes: number[]): ReadAt[] => minutes.map(minute => ({ by, at: at(minute) }))
  // Common practice: twenty coupons in an hour, until the day says otherwise.
  it('is what is usual until there is enough to go by', () => {
    expect(minutesAReading([])).toBe(USUAL_MINUTES)
    expect(minutesAReading(read('a', 0, 2, 4))).toBe(3)
  })
  it('is the middle of the times between one reader’s coupons, breaks left out, in any order', () => {
    expect(minutesAReading(read('a', 0, 2, 4, 6, 50, 52))).toBe(2)
    expect(minutesAReading(read('a', 52, 0, 6, 2, 50, 4))).toBe(2)
    expect(minutesAReading([...read('a', 0, 4, 8), ...read('b', 1, 5, 9)])).toBe(4)
  })
  it('two instructors take two at a time', () => {
    expect(minutesUntil(1, 3, 2)).toBe(3)
    expect(minutesUntil(4, 3, 2)).toBe(6)
    expect(minutesUntil(5, 3, 1)).toBe(15)
    expect(anHour(3, 2)).toBe(40)
    expect(anHour(3, 0)).toBe(20)
  })
})
