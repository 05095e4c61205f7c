import { describe, expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES as rules } from '../house'
import { climb, FULL_LADDER, type ClimbCoupon } from '../ladder'
import type { CouponsRun, RodMovement } from '../rodRoom'
import { aLot } from '../rodRoom/example'
import { seededRandom } from '../statistics'
import { rodsAhead, walk, wayAhead, type Climber, type RodsAheadCase } from '.'

const on = (rung: string, coupons: number, classDay = '2026-10-05'): ClimbCoupon[] =>
  Array.from({ length: coupons }, () => ({ rung, classDay, good: true, tries: {} }))
const at = (coupons: readonly ClimbCoupon[], signed: readonly string[] = []): Climber => ({
  studentId: 'runa',
  hand: 'right',
  until: '2027-01-31',
  week: { weekdays: ['Tue'], daysOff: [] },
  climb: climb(
    FULL_LADDER,
    coupons,
    signed.map(rungId => ({ rungId })),
    3,
  ),
})

describe('the way ahead', () => {
  it('begins with the rung that was run last, and leads on by new rods and the own hand', () => {
    const { rungs } = wayAhead(FULL_LADDER, at([...on('flat pad', 3), ...on('flat pad, stubs', 2)], ['arc-strikes']))
    expect(rungs.slice(0, 3)).toEqual([
      { id: 'flat-pad', usual: 8, done: 3 },
      { id: 'horizontal-pad', usual: 6, done: 0 },
      { id: 'vertical-pad', usual: 8, done: 0 },
    ])
    expect(rungs.some(({ id }) => /stubs|other-hand|restart-strip/.test(id))).toBe(false)
    expect(wayAhead(FULL_LADDER, at([])).rungs[0]!.id).toBe('arc-strikes')
    // Of two on one day it is the further one: whoever was signed off in the middle of a class has moved on.
    const both = at([...on('flat pad', 3), ...on('horizontal pad', 1)], ['arc-strikes'])
    expect(wayAhead(FULL_LADDER, both).rungs[0]!.id).toBe('horizontal-pad')
    const all = at(
      [],
      FULL_LADDER.rungs.map(rung => rung.id),
    )
    expect(wayAhead(FULL_LADDER, all).rungs).toEqual([])
  })
  it('is gone at the own tempo, as far as there is one', () => {
    expect(wayAhead(FULL_LADDER, at([])).tempo).toBe(1)
    // 16 coupons on what usually takes 8: (16 + 12) / (8 + 12).
    const slow = at([...on('flat pad', 16), ...on('horizontal pad', 1, '2026-10-06')], ['arc-strikes', 'flat-pad'])
    expect(wayAhead(FULL_LADDER, slow).tempo).toBeCloseTo(1.4, 9)
  })
  it('takes what is left on this rung, then the next ones, and on the last all that are left', () => {
    const way = wayAhead(FULL_LADDER, at(on('flat pad', 3), ['arc-strikes']))
    expect([...walk(way, 13, 1)]).toEqual([
      ['flat-pad', 5],
      ['horizontal-pad', 6],
      ['vertical-pad', 2],
    ])
    expect([...walk(way, 4, 1)]).toEqual([['flat-pad', 4]])
    expect([...walk(way, 0, 1)]).toEqual([])
    // Longer on it than is usual: about two more.
    expect(walk(wayAhead(FULL_LADDER, at(on('flat pad', 20), ['arc-strikes'])), 9, 1).get('flat-pad')).toBe(2)
    const last = wayAhead(
      FULL_LADDER,
      at(
        [],
        FULL_LADDER.rungs.filter(rung => rung.id !== 'pipe-6g').map(rung => rung.id),
      ),
    )
    expect([...walk(last, 40, 1)]).toEqual([['pipe-6g', 40]])
  })
})

const LOT = aLot()
const BASIC = 'E7018 1/8 in'
const [TODAY, NOW] = ['2026-10-26', new Date('2026-10-26T21:00:00Z')]
let n = 0
const line = (day: string, kind: RodMovement['kind'], rods: number, more: Partial<RodMovement> = {}): RodMovement => ({
  id: `m${++n}`,
  lotId: 'lot',
  kind,
  rods,
  studentId: 'runa',
  at: `${day}T18:00:00Z`,
  by: '',
  why: '',
  ...more,
})
const ran = (classDay: string, coupons: number, more: Partial<CouponsRun> = {}): CouponsRun => ({
  studentId: 'runa',
  classDay,
  rung: 'flat pad',
  mock: false,
  kinds: [BASIC],
  coupons,
  ...more,
})
const DAYS = ['2026-10-06', '2026-10-13', '2026-10-20']
const ask = (more: Partial<RodsAheadCase> = {}) =>
  rodsAhead(
    {
      ladder: FULL_LADDER,
      former: [],
      climbers: [at(on('flat pad', 3), ['arc-strikes'])],
      rules,
      lots: [LOT],
      movements: DAYS.map(day => line(day, 'issued', -12)),
      runs: DAYS.map(day => ran(day, 4)),
      weeksKept: 3,
      now: NOW,
      clock: { zone: 'UTC', turnsAt: 0 },
      weeksAhead: 1,
      ...more,
    },
    seededRandom(1),
  )

describe('what the coming weeks use', () => {
  it('is the coupons of a week, with what this school draws for one', () => {
    // 12 coupons in three weeks, three rods each: four coupons and twelve rods a week.
    const { low, likely, high } = ask().get(BASIC)!
    expect(likely).toBeGreaterThanOrEqual(11)
    expect(likely).toBeLessThanOrEqual(13)
    expect([low < likely, high > likely]).toEqual([true, true])
    expect(ask()).toEqual(ask())
  })
  it('is of the rods of the rungs ahead, before any of them was drawn', () => {
    // Open roots lie ahead: their cellulosic rods come of the burn-off alone.
    const root = FULL_LADDER.rungs.findIndex(rung => rung.id === 'open-root-2g')
    const behind = FULL_LADDER.rungs.slice(0, root).map(rung => rung.id)
    const nearGroove = at(on('open root 2G', 6), behind)
    const use = ask({ climbers: [nearGroove], weeksAhead: 3 })
    expect(use.get('E6010 1/8 in')!.likely).toBeGreaterThan(5)
    expect(ask().has('E6010 1/8 in')).toBe(false)
  })
  it('is nothing of whoever comes no more, or whose term is over, and less where it ends before', () => {
    const likely = (more: Partial<RodsAheadCase>) => ask({ weeksAhead: 2, ...more }).get(BASIC)?.likely ?? 0
    const old = ['2026-09-01', '2026-09-08', '2026-09-15'].map(day => ran(day, 4))
    const others = DAYS.map(day => ran(day, 4, { studentId: 'oskar' }))
    const drawn = [...old, ...others].map(({ classDay, studentId }) => line(classDay, 'issued', -12, { studentId }))
    expect(likely({ runs: [...old, ...others], movements: drawn })).toBe(0)
    // Where nobody has run anything for weeks it was a holiday.
    const holiday = { runs: old, movements: old.map(run => line(run.classDay, 'issued', -12)) }
    expect(likely(holiday)).toBe(likely({}))
    const until = (day: string) => ({ climbers: [{ ...at(on('flat pad', 3), ['arc-strikes']), until: day }] })
    expect(likely(until(TODAY))).toBe(0)
    expect(likely(until('2026-11-02')) / likely({})).toBeCloseTo(0.5, 1)
  })
  it('is less by the days off that lie ahead, and no less for those behind', () => {
    const likely = (from: string, to: string) => {
      const week = { weekdays: ['Tue'], daysOff: [{ from, to, name: 'break' }] }
      return (
        ask({ weeksAhead: 2, climbers: [{ ...at(on('flat pad', 3), ['arc-strikes']), week }] }).get(BASIC)?.likely ?? 0
      )
    }
    // 27 October and 3 November are the Tuesdays ahead.
    const [none, one, both] = [
      likely('2026-10-28', '2026-10-30'),
      likely('2026-10-26', '2026-10-30'),
      likely('2026-10-26', '2026-11-06'),
    ]
    expect(one / none).toBeCloseTo(0.5, 1)
    expect(both).toBe(0)
    // Twelve coupons in two weeks of class, where one of three was off: a pace of six and not of four.
    expect(likely('2026-10-13', '2026-10-13') / none).toBeCloseTo(1.5, 1)
  })
  it('is less where some coupons are run on stubs, for which nobody draws', () => {
    const half = DAYS.flatMap(day => [ran(day, 2), ran(day, 2, { kinds: [] })])
    const movements = DAYS.map(day => line(day, 'issued', -6))
    expect(ask({ runs: half, movements }).get(BASIC)!.likely / ask().get(BASIC)!.likely).toBeCloseTo(0.5, 1)
  })
  it('is only as much as is written down, and more where more is drawn than coupons are read', () => {
    const half = ask({
      runs: [...DAYS.map(day => ran(day, 4)), ...DAYS.map(day => ran(day, 4, { studentId: 'oskar' }))],
    })
    expect(half.get(BASIC)!.likely / ask().get(BASIC)!.likely).toBeCloseTo(0.5, 1)
    const shown = DAYS.map(day => line(day, 'issued', -30, { studentId: undefined, booth: 4 }))
    const more = ask({ movements: [...DAYS.map(day => line(day, 'issued', -12)), ...shown] })
    // (126 + 30) / (36 + 30) = 2.4 times.
    expect(more.get(BASIC)!.likely / ask().get(BASIC)!.likely).toBeCloseTo(2.36, 0)
  })
  it('of rods that no coupon accounts for goes by the book alone, and says nothing before three weeks', () => {
    const other = aLot({ id: 'stick', classification: 'E6013' })
    const movements = DAYS.map(day => line(day, 'issued', -9, { lotId: 'stick', studentId: undefined, booth: 2 }))
    const asked = { lots: [LOT, other], movements, runs: [], climbers: [] }
    expect(ask(asked).get('E6013 1/8 in')!.likely).toBe(9)
    expect(ask({ ...asked, weeksKept: 2 }).has('E6013 1/8 in')).toBe(false)
    expect(ask({ movements: [], runs: [], climbers: [] }).size).toBe(0)
  })
})
