import { describe, expect, it } from 'vitest'
import { seededRandom } from '../statistics'
import {
  buyList,
  comingUse,
  handfulsOf,
  lotName,
  movementFault,
  stockOf,
  storedHow,
  stubLoss,
  stubLossBy,
  weeklyUse,
  type RodMovement,
} from '.'
import { aLot } from './example'

const LOT = aLot()
const START = Date.parse('2026-09-14T18:00:00Z')
const at = (hours: number) => new Date(START + hours * 3_600_000)
let n = 0
const line = (
  hours: number,
  kind: RodMovement['kind'],
  rods: number,
  more: Partial<RodMovement> = {},
): RodMovement => ({
  id: `m${++n}`,
  lotId: LOT.id,
  kind,
  rods,
  why: '',
  by: 'Maren Holt',
  at: at(hours).toISOString(),
  ...more,
})

describe('the book', () => {
  it('adds up to what lies in the store, in any order of its lines', () => {
    const drawn = line(1, 'issued', -8, { studentId: 's' })
    const book = [
      line(0, 'received', 100),
      drawn,
      line(3, 'returned', 3, { handfulId: drawn.id }),
      line(5, 'counted', -2),
    ]
    expect(stockOf(book).get(LOT.id)).toBe(93)
    const random = seededRandom(5)
    for (let tries = 0; tries < 20; tries++) {
      const shuffled = [...book].sort(() => random.uniform() - 0.5)
      expect(stockOf(shuffled)).toEqual(stockOf(book))
      expect(handfulsOf(shuffled)).toEqual(handfulsOf(book))
    }
  })

  it('knows each handful: who drew it, what is out, what lies in the oven again', () => {
    const drawn = line(0, 'issued', -8, { studentId: 's', booth: 4 })
    expect(handfulsOf([drawn])).toMatchObject([{ id: drawn.id, studentId: 's', booth: 4, out: 8, inOven: 0 }])
    const back = line(2, 'returned', 3, { handfulId: drawn.id, stubs: { 'to 2': 5 } })
    expect(handfulsOf([drawn, back])).toMatchObject([{ out: 0, inOven: 3 }])
    const again = line(3, 'issued', -3, { handfulId: drawn.id, studentId: 'other' })
    const [handful] = handfulsOf([drawn, back, again])
    expect(handful).toMatchObject({ studentId: 'other', out: 3, inOven: 0 })
    expect(handful!.events.map(event => event.kind)).toEqual(['out', 'in', 'out'])
    // A book that begins in between knows nothing of a handful that was drawn before.
    expect(handfulsOf([back])).toEqual([])
    // All burnt, or binned: nothing of it is anywhere.
    expect(handfulsOf([drawn, line(4, 'returned', 0, { handfulId: drawn.id })])).toEqual([])
    expect(handfulsOf([drawn, line(4, 'binned', 0, { handfulId: drawn.id })])).toEqual([])
  })

  const terms = { houseHours: 4, now: at(5) }
  const drawn = line(0, 'issued', -8, { studentId: 's' })
  const late = line(4.5, 'returned', 3, { handfulId: drawn.id })
  const dried = line(5, 're-dried', 0, { handfulId: drawn.id })
  it.each([
    ['more back than was drawn', [drawn], line(5, 'returned', 9), '9 are more than the 8 that were drawn'],
    [
      'with stubs more than was drawn',
      [drawn],
      line(5, 'returned', 6, { stubs: { 'to 2': 3 } }),
      '9 are more than the 8',
    ],
    ['back twice', [drawn, late], line(5, 'returned', 3), 'back already'],
    ['past its hours, drawn again', [drawn, late], line(5, 'issued', -3), 're-dry them first, once'],
    ['re-dried where it need not be', [drawn, line(1, 'returned', 3, { handfulId: drawn.id })], dried, 'counts once'],
    ['out, re-dried', [drawn], dried, 'not in the oven'],
    [
      'binned, then back',
      [drawn, line(1, 'binned', 0, { handfulId: drawn.id })],
      line(5, 'returned', 3),
      'binned already',
    ],
  ] as const)('says what cannot be: %s', (_, book, wrong, says) => {
    expect(movementFault({ ...wrong, handfulId: drawn.id }, LOT, book, terms)).toContain(says)
  })

  it('lets be what can be: a late handful re-dried once, then drawn; not twice', () => {
    const of = { handfulId: drawn.id }
    expect(movementFault(dried, LOT, [drawn, late], terms)).toBeNull()
    const again = line(6, 'issued', -3, of)
    expect(movementFault(again, LOT, [drawn, late, dried], { ...terms, now: at(6) })).toBeNull()
    const lateAgain = [drawn, late, dried, again, line(11, 'returned', 2, of)]
    expect(movementFault(line(12, 'issued', -2, of), LOT, lateAgain, { ...terms, now: at(12) })).toContain('bin them')
    // More drawn than the book has is a count that is wrong, not rods that are not there.
    expect(movementFault(line(1, 'issued', -500), LOT, [], terms)).toBeNull()
  })

  it('is back where the clock that saw it come was behind the one that saw it go', () => {
    const back = line(-0.01, 'returned', 4, { handfulId: drawn.id })
    expect(movementFault(line(1, 'returned', 4, { handfulId: drawn.id }), LOT, [back, drawn], terms)).toBe(
      'These rods are back already',
    )
  })

  it('a rod without a clock comes and goes as it likes', () => {
    const cellulosic = { ...LOT, classification: 'E6010' }
    expect(movementFault(line(90, 'issued', -3, { handfulId: drawn.id }), cellulosic, [drawn, late], terms)).toBeNull()
  })
})

describe('use', () => {
  it('is what was drawn and did not come back, by week, the newest last', () => {
    const day = (days: number) => days * 24
    const now = at(day(21))
    const book = [
      line(day(1), 'issued', -20),
      line(day(2), 'returned', 4),
      line(day(10), 'issued', -7),
      line(day(20), 'received', 100),
    ]
    expect(weeklyUse(book, [LOT], { weeks: 3, now }).get('E7018 1/8 in')).toEqual([16, 7, 0])
    expect(weeklyUse(book, [LOT], { weeks: 2, now }).get('E7018 1/8 in')).toEqual([7, 0])
  })

  it('to come is a range that holds what is used about eight times in ten, and nothing where too little was seen', () => {
    expect(comingUse([10, 12], 2)).toBeNull()
    expect(comingUse([0, 0, 0, 0], 2)).toBeNull()
    const random = seededRandom(7)
    /** A week's rods: some twenty coupons, each of three to nine rods, on evenings that are more or less full. */
    const week = () => {
      const coupons = 12 + Math.floor(random.uniform() * 17)
      return Array.from({ length: coupons }, () => 3 + Math.floor(random.uniform() * 7)).reduce(
        (sum, rods) => sum + rods,
        0,
      )
    }
    let held = 0
    const TRIES = 1000
    for (let tries = 0; tries < TRIES; tries++) {
      const use = comingUse(Array.from({ length: 8 }, week), 4)!
      const came = week() + week() + week() + week()
      if (came >= use.low && came <= use.high) held++
    }
    expect(held / TRIES).toBeGreaterThan(0.76)
    expect(held / TRIES).toBeLessThan(0.9)
  })

  it('figures: eight weeks of 100 give 400 in four weeks, and the spread of counting', () => {
    // variance 100, times (n+1)/(n−1) = 9/7, times 4 + 16/8 = 6: sd 27.8; 1.2816 sd = 35.6.
    expect(
      comingUse(
        Array.from({ length: 8 }, () => 100),
        4,
      ),
    ).toEqual({ low: 364, likely: 400, high: 436 })
  })

  it('what to buy is by whole boxes, up to the most that is likely used', () => {
    const coming = new Map([['E7018 1/8 in', { low: 364, likely: 400, high: 436 }]])
    expect(buyList(new Map([['lot', 150]]), [LOT], coming)).toMatchObject([{ inStore: 150, boxes: 3, cents: 9000 }])
    // By what is likely it would be three: 270 rods.
    expect(buyList(new Map([['lot', 130]]), [LOT], coming)).toMatchObject([{ boxes: 4 }])
    expect(buyList(new Map([['lot', 410]]), [LOT], coming)).toMatchObject([{ boxes: 1 }])
    expect(buyList(new Map([['lot', 436]]), [LOT], coming)).toEqual([])
    expect(buyList(new Map([['lot', -10]]), [{ ...LOT, boxPriceCents: null }], coming)).toMatchObject([
      { inStore: -10, boxes: 5, cents: null },
    ])
  })
})

describe('stubs', () => {
  it('left at about 2 in waste an eighth of a 14 in rod, at 5 in more than a third', () => {
    const short = stubLoss([line(0, 'returned', 0, { stubs: { 'to 2': 10 } })], [LOT])!
    // 1.75 in of 14, at 30 cents a rod.
    expect(short.share).toBeCloseTo(0.125, 9)
    expect(short).toMatchObject({ rods: 10, cents: 38, kept: 0 })
    const long = stubLoss([line(0, 'returned', 0, { stubs: { '4 to 6': 10 } })], [LOT])!
    expect(long.share).toBeCloseTo(5 / 14, 9)
    expect(long.kept).toBe(10)
  })

  it('of both: by length, not by the mean of shares; without a price no cost is said; uncounted, nothing', () => {
    const mixed = [line(0, 'returned', 2, { stubs: { 'to 2': 6, 'over 6': 2 } })]
    expect(stubLoss(mixed, [LOT])!.share).toBeCloseTo((6 * 1.75 + 2 * 8) / (8 * 14), 9)
    expect(stubLoss(mixed, [{ ...LOT, boxPriceCents: null }])!.cents).toBeNull()
    expect(stubLoss([line(0, 'returned', 3)], [LOT])).toBeNull()
  })

  it('by what its lines belong to; what is nobody’s, and what nobody counted, is left out', () => {
    const book = [
      line(0, 'returned', 0, { studentId: 'b', stubs: { 'to 2': 4 } }),
      line(1, 'returned', 0, { studentId: 'a', stubs: { '4 to 6': 2 } }),
      line(2, 'returned', 0, { studentId: 'b', stubs: { 'over 6': 4 } }),
      line(3, 'returned', 2, { studentId: 'c' }),
      line(4, 'returned', 0, { stubs: { 'to 2': 9 } }),
    ]
    const by = stubLossBy(book, [LOT], ({ studentId }) => studentId ?? null)
    expect(by.map(({ group, loss }) => [group, loss.rods, loss.kept])).toEqual([
      ['a', 2, 2],
      ['b', 8, 4],
    ])
    expect(by[1]!.loss.share).toBeCloseTo((4 * 1.75 + 4 * 8) / (8 * 14), 9)
    // Together they are what is said of all.
    const all = stubLossBy(book, [LOT], () => 'all')[0]!.loss
    expect(all).toEqual(stubLoss(book, [LOT]))
  })
})

it('a lot is called by its class, size and number, and where it lies is said', () => {
  expect(lotName(LOT)).toBe('E7018 1/8 in, lot 4711')
  expect(storedHow(LOT)).toBe('in the holding oven at 250 °F (120 °C) or more')
  expect(storedHow({ ...LOT, openedOn: null })).toBe('dry in sealed boxes; once one is opened, in the holding oven')
  expect(storedHow({ classification: 'E6010', openedOn: null })).toContain('never in an oven')
})
