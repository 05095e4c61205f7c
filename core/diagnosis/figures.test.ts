import { describe, expect, it } from 'vitest'
import type { Mark, TryMark } from '../coupon'
import { aCoupon, aFlaw, aJoint, EXAMPLE_PIPE } from '../coupon/example'
import { DEFAULT_HOUSE_RULES as rules } from '../house'
import { currentWindow } from '../setup'
import { inches } from '../units'
import { CAUSES, diagnoseSigns, priorsFor, SIGNS, signsOf, strengthOn, type CauseId, type SignId } from '.'
import { findingsOf, networkOf } from './network'

/** Figures of the diagnosis that an instructor acts on, each held where it is: a test fails when one is changed. */

const at = (currentA: number, more = {}) => aCoupon({ ticket: { currentA, ...more } })
const prior = (coupon: ReturnType<typeof at>, id: CauseId) =>
  priorsFor(coupon, rules)[CAUSES.findIndex(cause => cause.id === id)]!
const FLAT = { position: '1F' as const }
const oddsOf = (chance: number) => chance / (1 - chance)

describe('a set-up outside its window', () => {
  // E7018 of 1/8 in, flat: 115 to 140 A as schools run it.
  it('is nine times as likely the cause as at the end of the window, six times there as in its middle', () => {
    const window = currentWindow('E7018', inches(1 / 8), '1G', rules)
    const [middle, end] = [(window.lowA + window.highA) / 2, window.highA]
    const times = (id: CauseId, to: number, from: number) => oddsOf(prior(at(to), id)) / oddsOf(prior(at(from), id))
    expect(times('current high', end + 0.01, end)).toBeCloseTo(9, 6)
    expect(times('current high', end, middle)).toBeCloseTo(Math.exp(1.8), 6)
    // Where it is set toward one end, the other is the less likely; beyond it, no less than at it.
    expect(times('current low', end, middle)).toBeCloseTo(Math.exp(-1.8), 6)
    expect(times('current low', end + 20, end)).toBeCloseTo(1, 6)
    expect(times('current low', window.lowA - 0.01, middle)).toBeCloseTo(9 * Math.exp(1.8), 6)
  })
  it('in the middle of its window it is hardly the current', () => {
    const window = currentWindow('E7018', inches(1 / 8), '1G', rules)
    const shipped = CAUSES.find(cause => cause.id === 'current high')!.prior
    const found = prior(at((window.lowA + window.highA) / 2), 'current high')
    expect(oddsOf(found) / oddsOf(shipped)).toBeCloseTo(0.4, 6)
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

describe('what the piece allows', () => {
  it('a pipe goes round: low ends are no edges that were not built up to', () => {
    const pipe = aJoint(EXAMPLE_PIPE, { position: '5G', travel: 'up' })
    expect(prior(pipe, 'ends')).toBeLessThan(1e-4)
    expect(prior(at(130), 'ends')).toBeCloseTo(CAUSES.find(cause => cause.id === 'ends')!.prior, 9)
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
  it('of what is not singled out it is said what to do if it comes again, where one in 20 stands before the next', () => {
    const said = { 'if it does': 0, 'no more': 0 }
    for (const { id } of SIGNS.filter(sign => sign.lookedFor === 'always')) {
      const { causes, change, nextRun } = diagnoseSigns(at(130), rules, {
        signs: [{ id, markIds: [], share: 0.1 }],
        absent: [],
      })
      if (causes.length === 0 || change !== null) continue
      const [first, second] = causes
      const stands = !second || (first!.odds >= 0.05 && first!.odds >= 1.5 * second.odds)
      expect(nextRun.includes('. If it does, '), id).toBe(stands)
      said[stands ? 'if it does' : 'no more'] += 1
    }
    expect(Math.min(...Object.values(said))).toBeGreaterThan(0)
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
  it('one in five signs is there and not marked; one no in four is wrong', () => {
    const [marked, asked] = findingsOf({ signs: [], absent: ['spatter', 'rod glows'] })
    expect(marked!.slip).toBe(0.2)
    expect(asked!.slip).toBe(0.25)
  })
  it('a short run shows less than a pad of six beads, by slips and by causes, and no less is said of half a bead', () => {
    const leg = { kind: 'T', lengthMm: 152.4, thicknessMm: 9.525, gapMm: 0, legMm: 6.35, sides: 1 } as const
    const of = (lengthMm: number) => signsOf(aJoint({ ...leg, lengthMm }, FLAT), rules).pads
    expect(signsOf(at(130), rules).pads).toBe(1)
    expect(of(152.4)).toBeCloseTo(1 / 6, 12)
    expect(of(20)).toBeCloseTo(1 / 12, 12)
    const chances = (id: SignId, pads: number) => {
      const { leak, shows } = networkOf([], pads).signs[SIGNS.findIndex(sign => sign.id === id)]!
      return { leak, arcLong: shows[CAUSES.findIndex(cause => cause.id === 'arc long')]! }
    }
    const [pad, half] = [chances('spatter', 1), chances('spatter', 0.5)]
    // Two halves that show it each by itself show it as often as the whole.
    expect(1 - (1 - half.leak) ** 2).toBeCloseTo(pad.leak, 12)
    expect(1 - (1 - half.arcLong) ** 2).toBeCloseTo(pad.arcLong, 12)
    // What is only told, or shows at a start, is not of a length.
    for (const id of ['arc fluttered', 'start pinholes', 'root concave'] as const)
      expect(chances(id, 0.5)).toEqual(chances(id, 1))
  })
  it('a student who says that something was so is wrong one time in twenty; what is said is nowhere on the coupon', () => {
    const [said] = findingsOf({ signs: [{ id: 'rod glows', markIds: [], share: 1, told: true }], absent: [] })
    expect([said!.slip, said!.leakTimes]).toEqual([0.05, 1])
  })
  it('where there are few beads one slip is still one slip, and a bead flawed from end to end counts for more', () => {
    const fillet = aJoint({ kind: 'T', lengthMm: 152.4, thicknessMm: 9.525, gapMm: 0, legMm: 6.35, sides: 1 }, FLAT)
    expect(fillet.beads).toHaveLength(1)
    const share = (from: number, to: number) => {
      const flaw = aFlaw({ beadId: fillet.beads[0]!.id, flaw: 'slag', side: null, severity: 2, atMm: from, toMm: to })
      return signsOf({ ...fillet, marks: [...fillet.marks, flaw] }, rules).signs[0]!.share
    }
    expect(share(50, 62.7)).toBeCloseTo(0.75 / 6, 9)
    expect(share(0, 152.4)).toBeCloseTo(3.5 / 6, 9)
  })
  it('one bad restart of one is a fifth, as of five; what the gauge found of legs is no slip', () => {
    const pad = aCoupon({ ticket: { rods: 'stubs' } })
    const restart = pad.marks.find((mark): mark is TryMark => mark.kind === 'restart')!
    const only = pad.marks.filter(mark => mark.kind !== 'restart' || mark.id === restart.id)
    const bad = only.map(mark =>
      mark.id === restart.id ? { ...restart, degree: 'poor' as const, fault: 'high' } : mark,
    )
    expect(signsOf({ ...pad, marks: bad }, rules).signs).toMatchObject([{ id: 'restart high', share: 0.2 }])
  })
  it('a leg that is short beside a long one is uneven, and not thin', () => {
    const fillet = aJoint({ kind: 'T', lengthMm: 152.4, thicknessMm: 9.525, gapMm: 0, legMm: 6.35, sides: 1 }, FLAT)
    const legs = (upper: number, lower: number) => {
      const on = { kind: 'reading' as const, beadId: fillet.beads[0]!.id, atMm: 70 }
      const marks: Mark[] = [
        ...fillet.marks,
        { ...on, id: 'u', of: 'upper leg', valueMm: upper },
        { ...on, id: 'l', of: 'lower leg', valueMm: lower },
      ]
      return signsOf({ ...fillet, marks }, rules).signs.map(sign => sign.id)
    }
    expect(legs(5, 8)).toEqual(['uneven legs'])
    expect(legs(8, 5)).toEqual(['uneven legs'])
    expect(legs(5, 5)).toEqual(['too low'])
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
    // What is always given of a whole bead says no more by reaching from end to end.
    expect(strengthOn(bead, [aFlaw({ flaw: 'irregular width', side: null, severity: 1, atMm: 0, toMm: 152.4 })])).toBe(
      0.5,
    )
  })
})
