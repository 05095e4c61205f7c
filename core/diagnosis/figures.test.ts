import { describe, expect, it } from 'vitest'
import { aCoupon, aFlaw } from '../coupon/example'
import { DEFAULT_HOUSE_RULES as rules } from '../house'
import { CAUSES, diagnoseSigns, priorsFor, SIGNS, strengthOn, type CauseId, type SignId } from '.'
import { findingsOf } from './network'

/** Figures of the diagnosis that an instructor acts on, each held where it is: a test fails when one is changed. */

const at = (currentA: number, more = {}) => aCoupon({ ticket: { currentA, ...more } })
const prior = (coupon: ReturnType<typeof at>, id: CauseId) =>
  priorsFor(coupon, rules)[CAUSES.findIndex(cause => cause.id === id)]!
const oddsOf = (chance: number) => chance / (1 - chance)

describe('a set-up outside its window', () => {
  // E7018 of 1/8 in, flat: 115 to 140 A as schools run it.
  it('is nine times as likely the cause as at the end of the window, and speaks against its opposite tenfold', () => {
    const inside = at(150)
    const outside = at(151)
    const times = (id: CauseId) => oddsOf(prior(outside, id)) / oddsOf(prior(inside, id))
    expect(times('current high')).toBeCloseTo(9, 0)
    expect(times('current low')).toBeCloseTo(0.1, 1)
  })
  it('a wrong polarity is as good as certain, a right one all but rules it out', () => {
    expect(prior(at(100, { classification: 'E6010', polarity: 'DCEN' }), 'polarity')).toBeGreaterThan(0.98)
    expect(prior(at(130), 'polarity')).toBeLessThan(0.002)
  })
  it('hours out of the oven beyond the house’s make a damp rod eight times as likely', () => {
    const fresh = oddsOf(prior(at(130, { hoursOut: 1 }), 'damp rod'))
    expect(oddsOf(prior(at(130, { hoursOut: 9 }), 'damp rod')) / fresh).toBeCloseTo(8, 6)
  })
})

describe('when something is said', () => {
  const seeing = (...ids: SignId[]) =>
    diagnoseSigns(at(130), rules, { signs: ids.map(id => ({ id, markIds: [], share: 1 })), absent: [] })
  it('a cause stands clear when it is likelier than not, and half as likely again as the next', () => {
    for (const ids of [['crooked'], ['undercut both'], ['wide', 'spatter'], ['porosity everywhere'], ['too high']]) {
      const { clear, causes } = seeing(...(ids as SignId[]))
      const [first, second] = causes
      expect(clear).toBe(first!.odds >= 0.5 && first!.odds >= 1.5 * (second?.odds ?? 0))
    }
  })
  it('under 15 in 100 nothing is singled out', () => {
    for (const { id } of SIGNS.filter(sign => sign.lookedFor === 'always')) {
      const { causes, change } = seeing(id)
      if (causes.length > 0) expect(change === null).toBe(causes[0]!.odds < 0.15)
    }
  })
})

describe('how a finding weighs', () => {
  const found = (share: number, id: SignId = 'undercut both') =>
    findingsOf({ signs: [{ id, markIds: [], share }], absent: [] })[0]!
  it('what shows on a third of the coupon or more is no slip; a crack never is', () => {
    expect(found(0).slip).toBeCloseTo(0.3, 9)
    expect(found(0.175).slip).toBeCloseTo(0.15, 9)
    expect(found(0.35).slip).toBe(0)
    expect(found(0.01, 'crack along').slip).toBe(0)
  })
  it('one in five signs is there and not marked; one no in seven is wrong', () => {
    const [marked, asked] = findingsOf({ signs: [], absent: ['spatter', 'rod glows'] })
    expect(marked!.slip).toBe(0.2)
    expect(asked!.slip).toBe(0.15)
  })
  it('a plain inch on a six-inch bead is the whole of it; light half, a place without length half', () => {
    const bead = { fromMm: 0, toMm: 152.4 }
    const of = (severity: 1 | 2 | 3, lengthMm: number) =>
      strengthOn(bead, [aFlaw({ severity, atMm: 50, toMm: 50 + lengthMm })])
    expect(of(2, 25.4)).toBeCloseTo(1, 9)
    expect(of(1, 25.4)).toBeCloseTo(0.5, 9)
    expect(of(2, 0)).toBeCloseTo(0.5, 9)
    expect(of(3, 0)).toBeCloseTo(0.7, 9)
    expect(of(3, 152.4)).toBe(1)
  })
})
