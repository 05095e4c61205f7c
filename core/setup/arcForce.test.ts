import { describe, expect, it } from 'vitest'
import { aCoupon, aFlaw, aTicket } from '../coupon/example'
import { putMark, ticketWindow } from '../coupon'
import { diagnose } from '../diagnosis'
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../house'
import { inches } from '../units'
import { arcForceWindow, checkTicket } from '.'

const rules = DEFAULT_HOUSE_RULES

// Arc force mid-scale; 70 to 100 % for a very tight arc, above all overhead; as the house has it: common practice.
describe('arc force', () => {
  const window = (classification: string, position: '1G' | '2G' | '3G' | '4G', by: HouseRules = rules) =>
    arcForceWindow({ classification, position }, by)
  it.each([
    ['E7018', '1G', 40, 60],
    ['E7018', '3G', 40, 60],
    ['E7018', '4G', 70, 100],
    ['E6013', '2G', 40, 60],
    ['E6010', '3G', 40, 100],
    ['E6010', '4G', 40, 100],
  ] as const)('%s in %s: %d to %d %%', (rod, position, low, high) =>
    expect(window(rod, position)).toEqual({ low, high }),
  )
  it('is that of a very tight arc everywhere, where the house holds one', () => {
    expect(window('E7018', '1G', { ...rules, arcCores: 0.5 })).toEqual({ low: 70, high: 100 })
    expect(window('E7018', '1G', { ...rules, arcCores: 0.75 })).toEqual({ low: 40, high: 60 })
  })
  it('is never beyond what the machines can be set to', () => {
    const fixed = { ...rules, arcForceScale: { low: 30, high: 50 } }
    expect(window('E7018', '4G', fixed)).toEqual({ low: 50, high: 50 })
    expect(window('E7018', '1G', fixed)).toEqual({ low: 40, high: 50 })
  })

  const remarks = (position: '1G' | '4G', arcForcePercent?: number) =>
    checkTicket(
      aTicket({ position, currentA: 120, ...(arcForcePercent === undefined ? {} : { arcForcePercent }) }),
      9.5,
      rules,
    ).map(({ finding, text }) => [finding, text])
  it('marks the ticket where it stands outside, at neither end, and never where it was not looked at', () => {
    expect(remarks('1G')).toEqual([])
    expect(remarks('1G', 40)).toEqual([])
    expect(remarks('1G', 60)).toEqual([])
    expect(remarks('1G', 61)).toEqual([['arc force high', 'Arc force 1 % over 40 to 60 %']])
    expect(remarks('1G', 30)).toEqual([['arc force low', 'Arc force 10 % under 40 to 60 %']])
    expect(remarks('4G', 50)).toEqual([['arc force low', 'Arc force 20 % under 70 to 100 %']])
  })

  const stuck = (arcForcePercent?: number) => {
    const coupon = aCoupon({ ticket: arcForcePercent === undefined ? {} : { arcForcePercent } })
    return diagnose({ ...coupon, answers: { 'rod sticks': 'yes' } }, rules)
  }
  const oddsOf = (arcForcePercent?: number) =>
    stuck(arcForcePercent).causes.find(row => row.cause.id === 'arc force')?.odds ?? 0
  it('is evidence for a rod that sticks: outside it leads, inside it is next to ruled out', () => {
    expect(stuck(10).causes[0]!.cause.id).toBe('arc force')
    expect(oddsOf(10)).toBeGreaterThan(3 * oddsOf())
    expect(oddsOf(50)).toBeLessThan(oddsOf() / 2)
  })
  it('is put right to the nearer end of where it is run', () => {
    expect(stuck(10).nextRun).toContain('Arc force up to 40 %: it stood at 10')
    const spitting = putMark(
      aCoupon({ ticket: { arcForcePercent: 95 } }),
      aFlaw({ flaw: 'spatter', side: null, sizeMm: null, severity: 3, atMm: 0, toMm: inches(6) }),
    )
    const told = diagnose({ ...spitting, answers: { 'rod sticks': 'yes' } }, rules)
    expect(told.causes[0]!.cause.id).toBe('arc force')
    expect(told.nextRun).toContain('Arc force down to 60 %: it stood at 95')
  })
})

// Makes of one class differ by 5 to 15 A: common practice.
describe('a window of one make', () => {
  const row = { classification: 'E7018', diameterMm: inches(1 / 8), position: '1G', lowA: 100, highA: 120 } as const
  const house = {
    ...rules,
    windows: [
      { ...row, make: 'Skerry' },
      { ...row, lowA: 105, highA: 130 },
    ],
  }
  const windowOf = (make?: string, by: HouseRules = house) => {
    const { lowA, highA } = ticketWindow(aTicket({ position: '1G', ...(make ? { make } : {}) }), 9.5, by)
    return [lowA, highA]
  }
  it('is held to by that make however it is written, and any other goes by the window for all', () => {
    expect(windowOf('Skerry')).toEqual([100, 120])
    expect(windowOf(' skerry')).toEqual([100, 120])
    expect(windowOf('Ness')).toEqual([105, 130])
    expect(windowOf()).toEqual([105, 130])
  })
  it('says nothing of other makes where it is the only one', () => {
    const alone = { ...rules, windows: [{ ...row, make: 'Skerry' }] }
    expect(windowOf('Skerry', alone)).toEqual([100, 120])
    expect(windowOf('Ness', alone)).toEqual(windowOf('Ness', rules))
  })
})
