import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { hoursToward, timeByPosition, type DayRun } from '.'

const MON: string = '2026-10-05'
const WED: string = '2026-10-07'
const run = (day: string, position: DayRun['position'], weldedMm: number) => ({ day, position, weldedMm })

describe('time by position', () => {
  it('shares a day’s time in the booth out by what was welded that day', () => {
    const days = [
      { day: MON, minutes: 180 },
      { day: WED, minutes: 60 },
    ]
    const runs = [run(MON, '2G', 600), run(MON, '3G', 300), run(WED, '2G', 100)]
    const times = timeByPosition(days, runs)
    expect(times.map(one => [one.position, Math.round(one.boothMinutes)])).toEqual([
      ['2G', 180],
      ['3G', 60],
    ])
    // Eight inches a minute.
    expect(times[0]!.arcMinutes).toBeCloseTo(700 / 203.2, 9)
  })
  it('a day without a coupon is of no position, and a coupon read on a day nobody was there has no booth time', () => {
    expect(timeByPosition([{ day: MON, minutes: 180 }], [])).toEqual([])
    expect(timeByPosition([], [run(MON, '1G', 203.2)])).toEqual([
      { position: '1G', boothMinutes: 0, arcMinutes: expect.closeTo(1, 9) },
    ])
    expect(timeByPosition([{ day: MON, minutes: 30 }], [run(MON, '1G', 0)])[0]!.boothMinutes).toBe(0)
  })
  it('never makes time, nor loses any of a day on which something was welded', () => {
    const length = fc.double({ min: 1, max: 5000, noNaN: true })
    const runs = fc.array(
      fc.record({ day: fc.constantFrom(MON, WED), position: fc.constantFrom('1G', '2G', '6G'), weldedMm: length }),
      { minLength: 1, maxLength: 12 },
    )
    fc.assert(
      fc.property(runs, fc.nat(600), fc.nat(600), (drawn, mon, wed) => {
        const days = [
          { day: MON, minutes: mon },
          { day: WED, minutes: wed },
        ]
        const welded = new Set(drawn.map(one => one.day))
        const there = days.filter(one => welded.has(one.day)).reduce((sum, one) => sum + one.minutes, 0)
        const shared = timeByPosition(days, drawn as DayRun[]).reduce((sum, one) => sum + one.boothMinutes, 0)
        expect(shared).toBeCloseTo(there, 6)
      }),
    )
  })
})

describe('hours toward a programme', () => {
  const times = [{ position: '2G' as const, boothMinutes: 630, arcMinutes: 90 }]
  it('say what is done and what is left, of a position or of all work, and never less than nothing', () =>
    expect(
      hoursToward(
        [
          { of: '2G', hours: 40 },
          { of: '3G', hours: 20 },
          { of: 'all work', hours: 15 },
        ],
        20 * 60,
        times,
      ),
    ).toEqual([
      { of: '2G', hours: 40, done: 10.5, left: 29.5 },
      { of: '3G', hours: 20, done: 0, left: 20 },
      { of: 'all work', hours: 15, done: 20, left: 0 },
    ]))
})
