import { describe, expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES } from '../house'
import { FULL_LADDER, rungNamed } from '../ladder'
import { rungNeeds } from './rungNeeds'
import { ownPace, wantedCoupons, worthOf } from '.'

const rules = DEFAULT_HOUSE_RULES
const rung = (name: string) => rungNamed(FULL_LADDER, name)!
const proposed = (...names: string[]) =>
  names.map(name => ({ rung: rung(name), gainPerHour: 0, why: '', toStudent: '' }))
const from = { pinned: null, hand: 'right', minutes: 180, pace: 1, rules } as const

describe('what would serve a student', () => {
  it('is what is proposed, best first, and again until there is more than the class has time for', () => {
    const wanted = wantedCoupons({ ...from, proposals: proposed('vertical pad', 'horizontal pad') })
    expect(wanted.map(({ name, nth }) => `${name} ${nth}`)).toEqual([
      'vertical pad 1',
      'horizontal pad 1',
      'vertical pad 2',
      'horizontal pad 2',
      'vertical pad 3',
      'horizontal pad 3',
    ])
    expect(wanted[0]).toMatchObject({ minutes: 42, worth: 0.7, piece: 'pad' })
  })
  it('takes as long as this student takes, and is no more worth for it', () => {
    const [slow] = wantedCoupons({ ...from, pace: 1.25, proposals: proposed('vertical pad') })
    expect(slow).toMatchObject({ minutes: 53, worth: 0.7 })
  })
  it('begins with what is pinned, whatever is proposed', () => {
    const wanted = wantedCoupons({
      ...from,
      proposals: proposed('flat pad', 'horizontal pad'),
      pinned: rung('horizontal pad'),
    })
    expect(wanted.slice(0, 2).map(one => one.name)).toEqual(['horizontal pad', 'flat pad'])
    expect(wanted.filter(one => one.name === 'horizontal pad').map(one => one.nth)).toEqual([1, 2, 3])
  })
  it('is nothing where every rung is signed off', () => {
    expect(wantedCoupons({ ...from, proposals: [] })).toEqual([])
  })
  it('is worth its hours, more for the odds, less as the next best and once more', () => {
    const pad = rung('flat pad')
    expect(worthOf(pad, 0, 0, 1)).toBeCloseTo(0.7, 9)
    expect(worthOf(pad, 0.05, 0, 1)).toBeCloseTo(1.4, 9)
    expect(worthOf(pad, 0, 1, 1)).toBeCloseTo(0.56, 9)
    expect(worthOf(pad, 0, 0, 3)).toBeCloseTo(0.343, 9)
  })
})

describe('the own pace', () => {
  const day = (...rungs: string[]) => ({ rungs })
  const pads = (coupons: number) => day(...Array.from({ length: coupons }, () => 'flat-pad'))
  const pace = (...days: { rungs: string[] }[]) => ownPace(days, FULL_LADDER, 168)
  it('is the usual one where nothing is known, or a class is filled as usual', () => {
    expect(pace()).toBe(1)
    expect(pace(day(), day('no rung of it'))).toBe(1)
    // Four pads of 42 min fill a class of 168.
    expect(pace(pads(4), pads(4), pads(4))).toBeCloseTo(1, 9)
  })
  it('is taken from the class in the middle, the more so the more there were', () => {
    // Three pads of 42 min are 126 of 168 min: a third longer each, with six days three quarters of the way there.
    expect(pace(...Array.from({ length: 6 }, () => pads(3)))).toBeCloseTo((168 / 126) ** 0.75, 9)
    expect(pace(pads(3))).toBeCloseTo((168 / 126) ** (1 / 3), 9)
    // One evening that was left early changes nothing.
    expect(pace(pads(4), pads(4), pads(1), pads(4), pads(4))).toBeCloseTo(1, 9)
  })
  it('is never so far off that other things must be behind it', () => {
    const often = (coupons: number) => Array.from({ length: 8 }, () => pads(coupons))
    expect(pace(...often(1))).toBe(1.5)
    expect(pace(...often(12))).toBe(0.75)
  })
})

describe('what a rung asks', () => {
  it('of its booth: the position, the most that any pass is run at, and the rods that its seam burns', () => {
    const pad = rungNeeds(rung('flat pad'), 'right', rules)
    expect(pad.need).toEqual({ piece: 'pad', position: '1G', currentA: 125, polarity: 'DCEP' })
    // Six beads of 6 in, some 10 in of bead from a rod.
    expect(pad.rods).toMatchObject([{ classification: 'E7018', count: 4 }])
    const pipe = rungNeeds(rung('pipe 6G'), 'left', rules)
    expect(pipe.need).toMatchObject({ piece: 'pipe butt', position: '6G' })
    expect(pipe.rods.map(one => one.classification)).toContain('E6010')
  })
  it('burns stubs on a rung that is run on stubs, and nothing out of the store', () => {
    expect(rungNeeds({ ...rung('restart strip'), rods: 'stubs' }, 'right', rules).rods).toEqual([])
  })
  it('can be said of every rung of the ladder', () => {
    for (const one of FULL_LADDER.rungs)
      for (const hand of ['right', 'left'] as const)
        for (const { count } of rungNeeds(one, hand, rules).rods) expect(count).toBeGreaterThan(0)
  })
})
