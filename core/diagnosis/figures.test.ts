import { describe, expect, it } from 'vitest'
import {
  cardCurrent,
  fitUpWanted,
  newCoupon,
  newReading,
  putMark,
  usualPiece,
  type CouponDocument,
  type FlawMark,
  type Mark,
  type TryMark,
} from '../coupon'
import { aCoupon, aFitUp, aFlaw, aJoint, EXAMPLE_PIPE } from '../coupon/example'
import { DEFAULT_HOUSE_RULES as rules } from '../house'
import { currentWindow, type FitUp } from '../setup'
import { inches } from '../units'
import { CAUSES, diagnose, diagnoseSigns, priorsFor, SIGNS, signsOf, strengthOn, type CauseId, type SignId } from '.'
import { findingsOf, networkOf } from './network'

/** Figures of the diagnosis that an instructor acts on, each held where it is: a test fails when one is changed. */

const at = (currentA: number, more = {}) => aCoupon({ ticket: { currentA, ...more } })
const prior = (coupon: ReturnType<typeof at>, id: CauseId) =>
  priorsFor(coupon, rules)[CAUSES.findIndex(cause => cause.id === id)]!
const FLAT = { position: '1F' as const }
const A_FIT_UP = aFitUp(inches(1 / 8))
const INDEX = new Map(CAUSES.map((cause, index) => [cause.id, index] as const))
const oddsOf = (chance: number) => chance / (1 - chance)

describe('what is kept of a coupon and moves its causes', () => {
  const joint = aJoint(EXAMPLE_PIPE, { position: '5G', travel: 'up' })
  const T = newCoupon(
    {
      studentId: 'one',
      classDay: '2026-10-05',
      rulesVersion: 1,
      piece: usualPiece('T'),
      ticket: { ...aCoupon().ticket, position: '2F' },
      beadCount: 1,
    },
    rules,
  )
  const butt = newCoupon(
    {
      studentId: 'one',
      classDay: '2026-10-05',
      rulesVersion: 1,
      piece: usualPiece('square butt'),
      ticket: aCoupon().ticket,
      beadCount: 1,
    },
    rules,
  )
  const times = (document: CouponDocument, bare: CouponDocument, id: CauseId, markIds: string[] = []) =>
    oddsOf(priorsFor(document, rules, undefined, markIds)[INDEX.get(id)!]!) /
    oddsOf(priorsFor(bare, rules)[INDEX.get(id)!]!)
  const leg = (of: 'upper leg' | 'lower leg', mm: number) =>
    newReading(`g-${of}`, of, { beadId: T.beads[0]!.id, atMm: 40 }, mm)
  it('the longer leg is where the rod pointed: three times as likely, and a third of the other', () => {
    const upper = [leg('upper leg', 8), leg('lower leg', 4.8)].reduce(putMark, T)
    const lower = [leg('upper leg', 4.8), leg('lower leg', 8)].reduce(putMark, T)
    const even = [leg('upper leg', 6), leg('lower leg', 6.4)].reduce(putMark, T)
    expect(times(upper, T, 'work angle high')).toBeCloseTo(3, 6)
    expect(times(upper, T, 'work angle')).toBeCloseTo(1 / 3, 6)
    expect(times(lower, T, 'work angle')).toBeCloseTo(3, 6)
    expect(times(even, T, 'work angle')).toBeCloseTo(1, 6)
  })
  it('steel put together dirty, or out of line, is forty times as likely the cause', () => {
    const fit = (more: Partial<FitUp>) => ({ ...joint, fitUp: { ...A_FIT_UP, ...more } })
    expect(times(fit({ surface: 'mill scale' }), fit({ surface: null }), 'dirty plate')).toBeCloseTo(40, 6)
    const line = times(fit({ misalignmentMm: 3.2 }), fit({ misalignmentMm: 0 }), 'out of line')
    expect(line).toBeCloseTo(40 / 0.3, 6)
  })
  it('a pass too hot to touch is heat, twenty-five times; one bead alone is hardly', () => {
    const felt = {
      ...joint,
      passes: joint.passes!.map(pass => ({ ...pass, log: { felt: 'too hot to touch' as const } })),
    }
    expect(times(felt, joint, 'plate hot')).toBeCloseTo(25, 6)
    const prior = CAUSES.find(cause => cause.id === 'plate hot')!.prior
    // It is thin as well, which is two and a half times.
    const alone = { ...butt, beads: butt.beads.slice(0, 1), passes: butt.passes!.slice(0, 1) }
    expect(oddsOf(priorsFor(alone, rules)[INDEX.get('plate hot')!]!) / oddsOf(prior)).toBeCloseTo(0.4 * 2.5, 6)
  })
  it('downhill the slag is outrun or welded over; a rod that is not made for it comes first', () => {
    const run = (travel: 'up' | 'down', classification: string) =>
      aCoupon({ ticket: { position: '3G', travel, classification } })
    expect(times(run('down', 'E6013'), run('up', 'E6013'), 'travel slow')).toBeCloseTo(5, 6)
    expect(times(run('down', 'E6013'), run('up', 'E6013'), 'not cleaned')).toBeCloseTo(0.15, 6)
    expect(times(run('down', 'E7018'), run('up', 'E7018'), 'rod unfit')).toBeGreaterThan(1e4)
    expect(times(run('down', 'E6010'), run('up', 'E6010'), 'rod unfit')).toBeCloseTo(1, 6)
  })
  it('what lies in the last inch of a joint is twenty-five times as likely arc blow; in its middle no more than else', () => {
    const bead = butt.beads[0]!
    const at = (fromMm: number) =>
      putMark(butt, aFlaw({ id: 'm', beadId: bead.id, atMm: fromMm, toMm: fromMm + 10, side: 'upper' }))
    expect(times(at(bead.toMm - 12), butt, 'arc blow', ['m'])).toBeCloseTo(25, 6)
    expect(times(at(60), butt, 'arc blow', ['m'])).toBeCloseTo(1, 6)
  })
})

describe('a set-up outside its window', () => {
  // E7018 of 1/8 in, flat: 115 to 140 A as schools run it.
  it('is nine times as likely the cause as at the end of the window, six times there as in its middle', () => {
    const window = currentWindow({ classification: 'E7018', diameterMm: inches(1 / 8), position: '1G' }, rules)
    const [middle, end] = [(window.lowA + window.highA) / 2, window.highA]
    const times = (id: CauseId, to: number, from: number) => oddsOf(prior(at(to), id)) / oddsOf(prior(at(from), id))
    expect(times('current high', end + 0.001, end)).toBeCloseTo(9, 2)
    expect(times('current high', end, middle)).toBeCloseTo(Math.exp(1.8), 6)
    // Each half width further out is e to the 0.9 more, six at most.
    const half = end - middle
    expect(times('current high', end + half, end)).toBeCloseTo(9 * Math.exp(0.9), 6)
    expect(times('current high', end + 20 * half, end)).toBeCloseTo(9 * Math.exp(0.9 * 6), 3)
    // Where it is set toward one end, the other is the less likely; beyond it hardly at all.
    expect(times('current low', end, middle)).toBeCloseTo(Math.exp(-1.8), 6)
    expect(times('current low', end + 20, end)).toBeCloseTo(0.15, 6)
    expect(times('current low', window.lowA - 0.001, middle)).toBeCloseTo(9 * Math.exp(1.8), 1)
  })
  it('in the middle of its window it is hardly the current', () => {
    const window = currentWindow({ classification: 'E7018', diameterMm: inches(1 / 8), position: '1G' }, rules)
    const shipped = CAUSES.find(cause => cause.id === 'current high')!.prior
    const found = prior(at((window.lowA + window.highA) / 2), 'current high')
    expect(oddsOf(found) / oddsOf(shipped)).toBeCloseTo(0.4, 6)
  })
  it('a window narrower than makes of one class differ, ten amperes to either side, is no limit', () => {
    const joint = aJoint(EXAMPLE_PIPE, { position: '5G', travel: 'up', diameterMm: inches(3 / 32), currentA: 80 })
    const hot = joint.passes!.find(pass => pass.role === 'hot')!
    const { lowA, highA } = cardCurrent(joint, hot, rules)
    expect(highA - lowA).toBeLessThan(20)
    const middle = (lowA + highA) / 2
    const setTo = (currentA: number) => ({
      ...joint,
      passes: joint.passes!.map(pass => {
        const card = cardCurrent(joint, pass, rules)
        return { ...pass, currentA: pass.id === hot.id ? currentA : (card.lowA + card.highA) / 2 }
      }),
    })
    const times = (currentA: number) =>
      oddsOf(prior(setTo(currentA), 'current high')) / oddsOf(prior(setTo(middle), 'current high'))
    // Looked at from afar, as nothing shows: every pass counts alike.
    expect(times(highA)).toBeCloseTo(Math.exp((1.8 * (highA - middle)) / 10), 6)
    expect(times(middle + 10.0001)).toBeCloseTo(9 * Math.exp(1.8), 2)
  })
  it('a gap or a land that is a gauge’s step off is as a setting at the end of its window, and either will do', () => {
    const pipe = aJoint(EXAMPLE_PIPE, { position: '5G', travel: 'up' })
    const { gapMm, landMm } = fitUpWanted(EXAMPLE_PIPE)
    const times = (gap: number, land: number | null, id: 'gap tight' | 'gap wide') => {
      const even = { leftMm: gap, rightMm: gap }
      const fitUp = { ...A_FIT_UP, bare: even, afterFirstTack: even, afterSecondTack: even, landMm: land }
      return oddsOf(prior({ ...pipe, fitUp }, id)) / oddsOf(prior(pipe, id))
    }
    // Both gauged right leave next to nothing of it; a land that nobody gauged leaves some.
    expect(times(gapMm, landMm, 'gap tight')).toBeCloseTo(0.02, 6)
    expect(times(gapMm, landMm, 'gap wide')).toBeCloseTo(0.02, 6)
    expect(times(gapMm, null, 'gap tight')).toBeCloseTo(0.4, 6)
    expect(times(gapMm - 0.75, landMm, 'gap tight')).toBeCloseTo(0.02, 6)
    expect(times(gapMm - 0.76, landMm, 'gap tight')).toBeGreaterThan(9)
    expect(times(gapMm, landMm! + 0.76, 'gap tight')).toBeGreaterThan(9)
    expect(times(gapMm, landMm! - 0.76, 'gap wide')).toBeGreaterThan(9)
  })
  it('a gap is taken as it was gauged last: what was put right since says nothing', () => {
    const pipe = aJoint(EXAMPLE_PIPE, { position: '5G', travel: 'up' })
    const { gapMm } = fitUpWanted(EXAMPLE_PIPE)
    const even = (mm: number) => ({ leftMm: mm, rightMm: mm })
    const tight = (fitUp: Partial<FitUp>) => prior({ ...pipe, fitUp: { ...A_FIT_UP, ...fitUp } }, 'gap tight')
    const right = tight({ bare: even(gapMm) })
    expect(tight({ bare: even(gapMm - 1.5), afterFirstTack: even(gapMm), afterSecondTack: even(gapMm) })).toBe(right)
    expect(tight({ bare: even(gapMm), afterFirstTack: { leftMm: 0, rightMm: gapMm } })).toBe(right)
    expect(tight({ bare: even(gapMm), afterFirstTack: { leftMm: gapMm, rightMm: gapMm - 1.5 } })).toBeGreaterThan(right)
    expect(tight({ bare: even(gapMm), afterSecondTack: even(gapMm - 1.5) })).toBeGreaterThan(right)
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
  it('something to try is always said, and never the same settings', () => {
    for (const share of [0.02, 0.1, 0.5, 1])
      for (const { id } of SIGNS.filter(sign => sign.lookedFor === 'always')) {
        const { causes, change, nextRun } = diagnoseSigns(at(130), rules, {
          signs: [{ id, markIds: [], share }],
          absent: [],
        })
        if (causes.length === 0) continue
        expect(change).not.toBeNull()
        expect(nextRun).not.toMatch(/[Ss]ame settings|hold these/)
        // A guess on a guess is not made: under 10 in 100 the likeliest is tried first.
        if (causes[0]!.odds < 0.1) expect(change).toBe(causes[0])
      }
  })
})

describe('what grows from bead to bead', () => {
  const on = (bead: number, flaw: FlawMark['flaw'] = 'spatter', id = `${flaw}${bead}`) =>
    aFlaw({ id, beadId: `b${bead}`, flaw, side: null, severity: 2 })
  const byLuck = (coupon: CouponDocument, marks: readonly Mark[]) =>
    signsOf(marks.reduce(putMark, coupon), rules).signs.find(sign => sign.id === 'growing')?.byLuck
  const pad = aCoupon()
  // Coins: three of three fall one way one time in eight; four of five, or five, six times in 32; six of six in 64.
  it('may be luck, as coins fall', () => {
    expect(
      byLuck(
        pad,
        [4, 5, 6].map(bead => on(bead)),
      ),
    ).toBeCloseTo(1 / 8, 12)
    expect(byLuck(pad, [...[4, 5, 6].map(bead => on(bead)), on(4, 'sagging'), on(1)])).toBeCloseTo(6 / 32, 12)
    const all = [4, 5, 6].flatMap(bead => [on(bead), on(bead, 'sagging')])
    expect(byLuck(pad, all)).toBeCloseTo(1 / 64, 12)
  })
  it('twice the same on one bead is once; of five beads three are late', () => {
    const twice = [on(4), on(5), on(6), on(6, 'spatter', 'again')]
    expect(byLuck(pad, twice)).toBeCloseTo(1 / 8, 12)
    const five = aCoupon({ beadCount: 5 })
    expect(five.beads).toHaveLength(5)
    expect(
      byLuck(
        five,
        [3, 4, 5].map(bead => on(bead)),
      ),
    ).toBeCloseTo(0.6 ** 3, 12)
  })
  it('is weighed by just that chance, however much of the pad it covers', () => {
    const [found] = findingsOf({ signs: [{ id: 'growing', markIds: [], share: 1, byLuck: 0.125 }], absent: [] })
    const { leak } = SIGNS.find(sign => sign.id === 'growing')!
    expect(found!.slip).toBe(0)
    expect(found!.leakTimes! * leak).toBeCloseTo(0.125, 12)
  })
  it('three marks of spatter on late beads are the long arc that pores say; on all that heat shows, the plate', () => {
    const pores = [2, 4, 6].map(bead => ({ ...on(bead, 'porosity'), atMm: 70, toMm: 72 }))
    const first = (marks: readonly Mark[]) => diagnose(marks.reduce(putMark, pad), rules).causes[0]!.cause.id
    expect(first([...pores, on(4), on(5), on(6)])).toBe('arc long')
    const heat = [4, 5, 6].flatMap(bead => [on(bead, 'undercut'), on(bead, 'sagging'), on(bead, 'irregular surface')])
    expect(first(heat)).toBe('plate hot')
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
  it('one in five signs is there and not marked; a no is wrong one time in four, of what was felt every other', () => {
    const [marked, seen, felt] = findingsOf({
      signs: [],
      absent: ['spatter', 'wide', 'rod glows'],
      denied: ['wide', 'rod glows'],
    })
    expect([marked!.slip, seen!.slip, felt!.slip]).toEqual([0.2, 0.25, 0.5])
  })
  it('what a gauge did not find is looked for, whatever the student says; where nothing was gauged it is a word', () => {
    const no = { answers: { wide: 'no' as const } }
    const gauged = putMark(at(130), newReading('w', 'width', { beadId: 'b1', atMm: 70 }, inches(7 / 32)))
    const flaw = aFlaw({ id: 'u', beadId: 'b2' })
    for (const document of [putMark(gauged, flaw), { ...putMark(gauged, flaw), ...no }]) {
      const seen = signsOf(document, rules)
      expect(seen.absent.filter(id => id === 'wide')).toEqual(['wide'])
      expect(seen.denied).toEqual([])
    }
    const word = signsOf({ ...putMark(at(130), flaw), ...no }, rules)
    expect(word.absent.filter(id => id === 'wide')).toEqual(['wide'])
    expect(word.denied).toEqual(['wide'])
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
  it('of more than six tries it counts how many were bad: slips are one in 41, a cause makes over half of them bad', () => {
    // Beta-binomials as products, and not as beta functions: bad a + 0, a + 1 …, sound b + 0, b + 1 …, over both.
    const rising = (from: number, count: number) =>
      Array.from({ length: count }, (_, n) => from + n).reduce((product, one) => product * one, 1)
    const chance = (bad: number, of: number, a: number, b: number) => {
      const all = rising(a + b, of)
      return (rising(a, bad) * rising(b, of - bad)) / all / (1 - rising(b, of) / all)
    }
    const { leak } = SIGNS.find(sign => sign.id === 'restart high')!
    for (const bad of [1, 2, 3, 6]) {
      const sign = { id: 'restart high' as const, markIds: [], share: bad / 11, tries: { bad, of: 11 } }
      const [found] = findingsOf({ signs: [sign], absent: [] })
      const times = chance(bad, 11, 0.5, 20) / chance(bad, 11, 1.5, 1.2)
      // Among eleven the leak of five is met more than twice as often.
      const byChance = 1 - (1 - leak) ** (11 / 5)
      expect(found!.slip).toBe(0)
      expect(found!.leakTimes! * leak).toBeCloseTo(Math.max(0.002, times) * byChance, 12)
    }
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
