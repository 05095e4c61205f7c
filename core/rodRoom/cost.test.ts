import { describe, expect, it } from 'vitest'
import { couponCosts, sharedOut, type CouponsRun, type RodLot, type RodMovement } from '.'
import { aLot } from './example'

const lot = (id: string, change: Partial<RodLot> = {}) => aLot({ id, ...change })
const LOTS = [lot('basic'), lot('root', { classification: 'E6010', boxPriceCents: 4000 })]
let n = 0
const line = (
  lotId: string,
  kind: RodMovement['kind'],
  rods: number,
  more: Partial<RodMovement> = {},
): RodMovement => ({
  id: `m${++n}`,
  lotId,
  kind,
  rods,
  studentId: 'runa',
  at: '2026-10-05T18:00:00Z',
  by: '',
  why: '',
  ...more,
})
const run = (change: Partial<CouponsRun> = {}): CouponsRun => ({
  studentId: 'runa',
  classDay: '2026-10-05',
  rung: 'Flat pad',
  mock: false,
  kinds: ['E7018 1/8 in'],
  coupons: 3,
  ...change,
})
const dayOf = (moment: string) => moment.slice(0, 10)
const costs = (book: readonly RodMovement[], runs: readonly CouponsRun[], lots = LOTS) =>
  couponCosts(book, lots, runs, dayOf)

describe('what coupons cost in rods', () => {
  it('is what was drawn that day less what came back whole, over the coupons of that day', () => {
    const drawn = line('basic', 'issued', -8)
    // Brought back the day after, by somebody else: still the rods of that day and that student.
    const back = line('basic', 'returned', 2, { handfulId: drawn.id, studentId: undefined, at: '2026-10-06T09:00:00Z' })
    expect(costs([drawn, back], [run()]).all).toEqual({ coupons: 3, rods: 6, priced: 3, cents: 180 })
  })
  it('is shared by what the day’s coupons were run for, and told by rung, by student and for mock tests', () => {
    const book = [line('basic', 'issued', -8), line('basic', 'issued', -6, { studentId: 'oskar' })]
    const runs = [
      run({ coupons: 3 }),
      run({ coupons: 1, rung: 'Test plate', mock: true }),
      run({ studentId: 'oskar', coupons: 2 }),
    ]
    const { all, mocks, byRung, byStudent } = costs(book, runs)
    expect(all).toEqual({ coupons: 6, rods: 14, priced: 6, cents: 420 })
    expect(mocks).toEqual({ coupons: 1, rods: 2, priced: 1, cents: 60 })
    // Flat pad: 6 of Runa’s 8 and Oskar’s 6, over five coupons.
    expect(byRung).toEqual([
      { rung: 'Flat pad', coupons: 5, rods: 12, priced: 5, cents: 360 },
      { rung: 'Test plate', coupons: 1, rods: 2, priced: 1, cents: 60 },
    ])
    expect(byStudent.map(row => [row.studentId, row.rods / row.coupons])).toEqual([
      ['oskar', 3],
      ['runa', 2],
    ])
  })
  it('of a joint of two rods is both of them; with one not in the book it is left out, not said too cheap', () => {
    const joint = run({ coupons: 1, kinds: ['E6010 1/8 in', 'E7018 1/8 in'] })
    const fill = line('basic', 'issued', -5)
    expect(costs([fill, line('root', 'issued', -2)], [joint]).all).toEqual({
      coupons: 1,
      rods: 7,
      priced: 1,
      cents: 230,
    })
    expect(costs([fill], [joint]).all).toEqual({ coupons: 0, rods: 0, priced: 0, cents: 0 })
  })
  it('says of a joint with one rod in the book what it took of that, and that it is not all', () => {
    const joint = run({ coupons: 2, kinds: ['E6010 1/8 in', 'E7018 1/8 in'] })
    const book = [line('basic', 'issued', -6)]
    expect(sharedOut(book, LOTS, [joint], dayOf)).toEqual([
      { run: joint, whole: false, shares: [{ kind: 'E7018 1/8 in', rods: 6, cents: 180 }] },
    ])
    const [both] = sharedOut([...book, line('root', 'issued', -2)], LOTS, [joint], dayOf)
    expect([both!.whole, both!.shares.length]).toEqual([true, 2])
    expect(sharedOut([], LOTS, [joint], dayOf)).toEqual([])
  })
  it('says the money of those whose boxes have a price, and of how many that is', () => {
    const book = [line('basic', 'issued', -4), line('gift', 'issued', -6, { studentId: 'oskar' })]
    const runs = [run({ coupons: 2 }), run({ studentId: 'oskar', coupons: 3 })]
    const gift = lot('gift', { boxPriceCents: null })
    const { all, byStudent } = costs(book, runs, [...LOTS, gift])
    expect(all).toEqual({ coupons: 5, rods: 10, priced: 2, cents: 120 })
    expect(byStudent.map(row => [row.studentId, row.priced])).toEqual([
      ['oskar', 0],
      ['runa', 2],
    ])
    // A handful of a box with a price and one without, on one day: what it cost is not known.
    const mixed = [...book, line('gift', 'issued', -1)]
    expect(costs(mixed, [run()], [...LOTS, gift]).all).toMatchObject({ coupons: 3, rods: 5, priced: 0, cents: 0 })
  })
  it('counts nothing for whom no rods were written, on another day, or of a handful brought back whole', () => {
    const drawn = line('basic', 'issued', -8)
    const whole = line('basic', 'returned', 8, { handfulId: drawn.id })
    const nothing = { coupons: 0, rods: 0, priced: 0, cents: 0 }
    expect(costs([], [run()]).all).toEqual(nothing)
    expect(costs([drawn], [run({ classDay: '2026-10-06' })]).all).toEqual(nothing)
    expect(costs([drawn], [run({ studentId: 'oskar' })]).all).toEqual(nothing)
    expect(costs([drawn, whole], [run()]).all).toEqual(nothing)
    expect(costs([drawn], [run({ kinds: [] })]).all).toEqual(nothing)
  })
  it('loses no rod and no money: what is shared out is what was burnt on days with coupons', () => {
    const book = Array.from({ length: 40 }, (_, k) =>
      line('basic', 'issued', -(1 + (k % 7)), { studentId: `s${k % 5}` }),
    )
    const runs = Array.from({ length: 5 }, (_, k) => [
      run({ studentId: `s${k}`, coupons: 1 + k, rung: `rung ${k % 2}` }),
      run({ studentId: `s${k}`, coupons: 2, rung: 'rung 3', mock: true }),
    ]).flat()
    const { all, byRung, byStudent } = costs(book, runs)
    const burnt = -book.reduce((sum, { rods }) => sum + rods, 0)
    expect(all.rods).toBeCloseTo(burnt, 9)
    expect(all.cents).toBeCloseTo(30 * burnt, 6)
    for (const rows of [byRung, byStudent]) expect(rows.reduce((sum, row) => sum + row.rods, 0)).toBeCloseTo(burnt, 9)
  })
})
