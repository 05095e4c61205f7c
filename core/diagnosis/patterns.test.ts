import { describe, expect, it } from 'vitest'
import {
  newFlaw,
  putMark,
  setDegree,
  type CouponDocument,
  type FlawMark,
  type Ticket,
  type TryKind,
  type TryMark,
} from '../coupon'
import { aCoupon, aFitUp, aFlaw, aJoint, EXAMPLE_PLATE } from '../coupon/example'
import { DEFAULT_HOUSE_RULES } from '../house'
import { inches } from '../units'
import { causeOf, CAUSES, diagnose, SIGNS, signsOf, type CauseId } from '.'

const rules = DEFAULT_HOUSE_RULES
const everyBead = (coupon: CouponDocument, flaw: FlawMark['flaw'], change: Partial<FlawMark> = {}) =>
  coupon.beads.reduce(
    (document, bead) =>
      putMark(
        document,
        aFlaw({ id: `${flaw} ${bead.id}`, beadId: bead.id, flaw, side: null, sizeMm: null, ...change }),
      ),
    coupon,
  )
const everyTry = (coupon: CouponDocument, kind: TryKind, fault: string) =>
  coupon.marks
    .filter(mark => mark.kind === kind)
    .reduce((document, mark) => putMark(document, { ...setDegree(mark, 3), fault } as TryMark), coupon)
const width = (coupon: CouponDocument, valueMm: number) =>
  coupon.beads.reduce(
    (document, bead) =>
      putMark(document, { id: `w ${bead.id}`, kind: 'reading', of: 'width', beadId: bead.id, atMm: 70, valueMm }),
    coupon,
  )
const causes = (coupon: CouponDocument) => diagnose(coupon, rules).causes.map(row => row.cause.id)
const on = (ticket: Partial<Ticket>) => aCoupon({ ticket })

/** Bead shapes and what they say. Source: common practice, as manuals agree; the likeliest cause first. */
describe('a bead’s shape speaks', () => {
  const CASES: readonly (readonly [string, () => CouponDocument, CauseId])[] = [
    [
      'wide, spattered, rough, with undercut on both toes, current over its window',
      () => everyBead(everyBead(width(on({ currentA: 155 }), inches(3 / 8)), 'undercut', { side: 'both' }), 'spatter'),
      'current high',
    ],
    [
      'tall and narrow, starts that stick, current under its window',
      () => everyBead(width(everyTry(on({ currentA: 95 }), 'start', 'stuck'), inches(1 / 8)), 'excess weld metal'),
      'current low',
    ],
    [
      'wide and uneven with spatter and pinholes everywhere, current right',
      () =>
        everyBead(everyBead(everyBead(aCoupon(), 'irregular width'), 'spatter'), 'porosity', { atMm: 70, toMm: 70 }),
      'arc long',
    ],
    ['narrow and thin, current right', () => everyBead(width(aCoupon(), inches(1 / 8)), 'underfill'), 'travel fast'],
    [
      'wide, high, rolled over at the toes',
      () => everyBead(everyBead(width(aCoupon(), inches(3 / 8)), 'overlap', { side: 'both' }), 'excess weld metal'),
      'travel slow',
    ],
    [
      'upper toe eaten, lower toe rolled over, horizontal',
      () => everyBead(everyBead(on({ position: '2G' }), 'undercut', { side: 'upper' }), 'sagging', { side: 'lower' }),
      'work angle',
    ],
    ['slag between beads', () => everyBead(aCoupon(), 'slag'), 'not cleaned'],
    [
      'stray strikes and lumps at starts',
      () => everyTry(everyBead(aCoupon(), 'arc strike', { toMm: inches(1) }), 'start', 'lump'),
      'strike',
    ],
    ['lumps at every restart', () => everyTry(on({ rods: 'stubs' }), 'restart', 'high'), 'too long in crater'],
    ['dips at every restart', () => everyTry(on({ rods: 'stubs' }), 'restart', 'gap'), 'too short in crater'],
    [
      'restarts off line and crooked beads',
      () => everyTry(everyBead(on({ rods: 'stubs' }), 'crooked'), 'restart', 'off line'),
      'bracing',
    ],
    ['slag in every restart', () => everyTry(on({ rods: 'stubs' }), 'restart', 'slag'), 'not cleaned'],
    [
      'craters at every end, one cracked',
      () => putMark(everyTry(aCoupon(), 'end', 'crater'), aFlaw({ flaw: 'crack', side: null })),
      'crater left',
    ],
  ]
  it.each(CASES)('%s', (_, coupon, cause) => expect(causes(coupon())[0]).toBe(cause))
})

describe('rivals are told apart', () => {
  it('undercut: by the current on the ticket', () => {
    const undercut = (currentA: number) => causes(everyBead(on({ currentA }), 'undercut', { side: 'both' }))
    expect(undercut(160).indexOf('current high')).toBeLessThan(undercut(160).indexOf('arc long'))
    expect(undercut(125).indexOf('arc long')).toBeLessThan(undercut(125).indexOf('current high'))
  })

  it('undercut that comes only on the last beads: a hot plate', () => {
    const late = ['b4', 'b5', 'b6'].reduce(
      (document, beadId) => putMark(document, aFlaw({ id: `u${beadId}`, beadId, side: 'both' })),
      aCoupon(),
    )
    expect(causes(late)[0]).toBe('plate hot')
  })

  it('pinholes: at starts only they are the strike, everywhere they are not', () => {
    const pore = (id: string, atMm: number) => aFlaw({ id, flaw: 'porosity', side: null, atMm, toMm: atMm })
    const atStart = putMark(aCoupon(), pore('p1', 3))
    const everywhere = [20, 60, 100].reduce((document, at, n) => putMark(document, pore(`p${n}`, at)), aCoupon())
    expect(causes(atStart).indexOf('strike')).toBeLessThan(2)
    expect(causes(everywhere)[0]).not.toBe('strike')
  })
})

describe('a root side', () => {
  const pipe = aJoint()
  const notThrough = (toMm: number) =>
    putMark(pipe, {
      ...newFlaw(pipe, 'f', 'incomplete penetration', { beadId: 'root-side', atMm: 20 }),
      atMm: 10,
      toMm,
    })
  const share = (coupon: CouponDocument) =>
    signsOf(coupon, rules).signs.find(sign => sign.id === 'root not through')!.share
  it('is seen by its length, however many passes lie over it', () => {
    expect(share(notThrough(20))).toBeCloseTo(1 / 6, 9)
    expect(share(notThrough(110))).toBeCloseTo(100 / (Math.PI * inches(2.375)), 6)
  })
  it('not through for most of its length: gap or land, and the gap as it was gauged says so louder', () => {
    const odds = (coupon: CouponDocument) =>
      diagnose(coupon, rules).causes.find(row => row.cause.id === 'gap tight')!.odds
    expect(causes(notThrough(150))[0]).toBe('gap tight')
    const fitUp = aFitUp(inches(1 / 16))
    expect(odds({ ...notThrough(40), fitUp })).toBeGreaterThan(odds(notThrough(40)) + 0.1)
    // A gap that was right leaves the land, which nobody gauged; both right leave less.
    const right = aFitUp(inches(1 / 8))
    const [gapRight, bothRight] = [right, { ...right, landMm: inches(3 / 32) }].map(one =>
      odds({ ...notThrough(40), fitUp: one }),
    ) as [number, number]
    expect(gapRight).toBeLessThan(odds(notThrough(40)))
    expect(gapRight).toBeGreaterThan(odds(notThrough(40)) - 0.25)
    expect(bothRight).toBeLessThan(gapRight - 0.05)
  })
})

describe('the causes as data', () => {
  it('a beginner’s arc is likelier long than short, the rod likelier leaned than not (common practice)', () => {
    const prior = (id: CauseId) => causeOf(id).prior
    expect(prior('arc long')).toBeGreaterThan(2 * prior('arc short'))
    expect(prior('travel angle')).toBeGreaterThan(prior('work angle'))
    expect(Math.max(prior('polarity'), prior('rod unfit'))).toBeLessThan(0.01)
  })

  it('each says what to change and what to drill, and mostly shows something', () => {
    for (const cause of CAUSES) {
      expect(cause.change.length).toBeGreaterThan(10)
      expect(cause.drill.length).toBeGreaterThan(5)
      expect(cause.prior > 0 && cause.prior < 0.2).toBe(true)
      const chances = Object.values(cause.shows)
      expect(chances.every(chance => chance > 0 && chance < 1)).toBe(true)
      expect(Math.max(...chances)).toBeGreaterThanOrEqual(0.3)
    }
  })

  it('every sign is shown by some cause, or may be left as a slip', () => {
    const shown = new Set(CAUSES.flatMap(cause => Object.keys(cause.shows)))
    for (const { id } of SIGNS) expect(shown.has(id)).toBe(true)
  })
})

describe('what the ticket says', () => {
  const pores = (ticket: Partial<Ticket>) =>
    [1, 3, 5].reduce(
      (document, n) =>
        putMark(document, aFlaw({ id: `p${n}`, flaw: 'porosity', beadId: `b${n}`, side: null, atMm: 60, toMm: 66 })),
      aCoupon({ ticket }),
    )
  it('a rod past its exposure makes damp rods the first cause of pores', () => {
    expect(causes(pores({ hoursOut: 8 }))[0]).toBe('damp rod')
    expect(diagnose(pores({ hoursOut: 8 }), rules).causes[0]!.odds).toBeGreaterThan(
      diagnose(pores({ hoursOut: 1 }), rules).causes.find(row => row.cause.id === 'damp rod')!.odds + 0.2,
    )
  })
  it('an unfit rod and a wrong polarity come before all else, whatever is seen', () => {
    expect(
      diagnose(everyBead(on({ classification: 'E7024', currentA: 160, position: '4G' }), 'spatter'), rules).change!
        .cause.id,
    ).toBe('rod unfit')
    expect(diagnose(on({ classification: 'E6010', polarity: 'DCEN', currentA: 100 }), rules).change!.cause.id).toBe(
      'polarity',
    )
  })
  it('the house’s taste is no evidence', () =>
    expect(diagnose(on({ polarity: 'AC' }), rules).nextRun).toContain('Same again'))
  it('thin plate makes a hot plate likelier', () => {
    const odds = (thicknessMm: number) =>
      diagnose(
        { ...everyBead(aCoupon(), 'sagging', { side: 'both' }), piece: { ...EXAMPLE_PLATE, thicknessMm } },
        rules,
      ).causes.find(row => row.cause.id === 'plate hot')!.odds
    expect(odds(inches(3 / 16))).toBeGreaterThan(odds(inches(3 / 8)))
  })
  it('is what was seen, by its pattern', () =>
    expect(signsOf(pores({}), rules).signs.map(sign => sign.id)).toEqual(['porosity everywhere']))
})
