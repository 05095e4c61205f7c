import { describe, expect, it } from 'vitest'
import { putMark, setDegree, type CouponDocument, type FlawMark, type Ticket, type TryKind, type TryMark } from '../coupon'
import { aCoupon, aFlaw, EXAMPLE_PLATE } from '../coupon/example'
import { DEFAULT_HOUSE_RULES } from '../house'
import { inches } from '../units'
import { CAUSES, readCoupon, signsOf, type CauseId, type SignId } from '.'

const rules = DEFAULT_HOUSE_RULES
const everyBead = (coupon: CouponDocument, flaw: FlawMark['flaw'], change: Partial<FlawMark> = {}) => coupon.beads.reduce(
  (document, bead) => putMark(document, aFlaw({ id: `${flaw} ${bead.id}`, beadId: bead.id, flaw, side: null, sizeMm: null, ...change })), coupon)
const everyTry = (coupon: CouponDocument, kind: TryKind, fault: string) => coupon.marks.filter(mark => mark.kind === kind).reduce(
  (document, mark) => putMark(document, { ...setDegree(mark, 3), fault } as TryMark), coupon)
const width = (coupon: CouponDocument, valueMm: number) => coupon.beads.reduce(
  (document, bead) => putMark(document, { id: `w ${bead.id}`, kind: 'reading', of: 'width', beadId: bead.id, atMm: 70, valueMm }), coupon)
const causes = (coupon: CouponDocument) => readCoupon(coupon, rules).causes.map(row => row.cause.id)
const on = (ticket: Partial<Ticket>) => aCoupon({ ticket })

/** Bead shapes and what they say. Source: common practice, as manuals agree; the likeliest cause first. */
describe('a bead’s shape speaks', () => {
  const CASES: readonly (readonly [string, () => CouponDocument, CauseId])[] = [
    ['wide, spattered, rough, with undercut on both toes, current over its window', () => everyBead(everyBead(width(on({ currentA: 155 }), inches(3 / 8)), 'undercut', { side: 'both' }), 'spatter'), 'current high'],
    ['tall and narrow, starts that stick, current under its window', () => everyBead(width(everyTry(on({ currentA: 95 }), 'start', 'stuck'), inches(1 / 8)), 'excess weld metal'), 'current low'],
    ['wide and uneven with spatter and pinholes everywhere, current right', () => everyBead(everyBead(everyBead(aCoupon(), 'irregular width'), 'spatter'), 'porosity', { atMm: 70, toMm: 70 }), 'arc long'],
    ['narrow and thin, current right', () => everyBead(width(aCoupon(), inches(1 / 8)), 'underfill'), 'travel fast'],
    ['wide, high, rolled over at the toes', () => everyBead(everyBead(width(aCoupon(), inches(3 / 8)), 'overlap', { side: 'both' }), 'excess weld metal'), 'travel slow'],
    ['upper toe eaten, lower toe rolled over, horizontal', () => everyBead(everyBead(on({ position: '2G' }), 'undercut', { side: 'upper' }), 'sagging', { side: 'lower' }), 'work angle'],
    ['slag between beads', () => everyBead(aCoupon(), 'slag'), 'not cleaned'],
    ['stray strikes and lumps at starts', () => everyTry(everyBead(aCoupon(), 'arc strike', { toMm: inches(1) }), 'start', 'lump'), 'strike'],
    ['lumps at every restart', () => everyTry(on({ rods: 'stubs' }), 'restart', 'high'), 'too long in crater'],
    ['dips at every restart', () => everyTry(on({ rods: 'stubs' }), 'restart', 'gap'), 'too short in crater'],
    ['restarts off line and crooked beads', () => everyTry(everyBead(on({ rods: 'stubs' }), 'crooked'), 'restart', 'off line'), 'bracing'],
    ['slag in every restart', () => everyTry(on({ rods: 'stubs' }), 'restart', 'slag'), 'not cleaned'],
    ['craters at every end, one cracked', () => putMark(everyTry(aCoupon(), 'end', 'crater'), aFlaw({ flaw: 'crack', side: null })), 'crater left'],
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
    const late = ['b4', 'b5', 'b6'].reduce((document, beadId) => putMark(document, aFlaw({ id: `u${beadId}`, beadId, side: 'both' })), aCoupon())
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

describe('the causes as data', () => {
  it('have priors that make at most one and at least most of one', () => {
    const sum = CAUSES.reduce((total, cause) => total + cause.prior, 0)
    expect(sum).toBeGreaterThan(0.95)
    expect(sum).toBeLessThan(1.25)
  })

  it('a beginner’s arc is likelier long than short, the rod likelier leaned than not (common practice)', () => {
    const prior = (id: CauseId) => CAUSES.find(cause => cause.id === id)!.prior
    expect(prior('arc long')).toBeGreaterThan(2 * prior('arc short'))
    expect(prior('travel angle')).toBeGreaterThan(prior('work angle'))
    expect(prior('polarity')).toBe(Math.min(...CAUSES.map(cause => cause.prior)))
  })

  it('each says what to change and what to drill, and something speaks for it', () => {
    for (const cause of CAUSES) {
      expect(cause.change.length).toBeGreaterThan(10)
      expect(cause.drill.length).toBeGreaterThan(5)
      expect(Object.values(cause.speaks).some(ratio => ratio > 2)).toBe(true)
    }
  })

  it('every sign that can be seen speaks for some cause', () => {
    const spoken = new Set(CAUSES.flatMap(cause => Object.entries(cause.speaks).filter(([, ratio]) => ratio > 1).map(([sign]) => sign as SignId)))
    const seen = signsOf(everyBead(everyBead(everyBead(everyTry(aCoupon(), 'end', 'crater'), 'crooked'), 'lap'), 'melt-through', { toMm: inches(1) }), rules)
    for (const sign of seen) expect(spoken.has(sign.id)).toBe(true)
  })
})

describe('what the ticket says', () => {
  const signs = (ticket: Partial<Ticket>, thicknessMm = inches(3 / 8)) => {
    const coupon = aCoupon({ ticket })
    return signsOf({ ...coupon, piece: { ...EXAMPLE_PLATE, thicknessMm } }, rules).map(sign => sign.id)
  }
  it('a rod past its exposure, thin plate and an unfit rod are evidence', () => {
    expect(signs({ hoursOut: 6 })).toEqual(['rod exposed'])
    expect(signs({}, inches(3 / 16))).toEqual(['plate thin'])
    expect(signs({ classification: 'E7024', currentA: 160, position: '4G' })).toContain('rod unfit')
  })
  it('the house’s taste is not', () => expect(signs({ polarity: 'AC' })).toEqual([]))
  it('a rod past its exposure makes damp rods the first cause of pores', () => {
    const coupon = aCoupon({ ticket: { hoursOut: 8 } })
    const pores = { ...coupon, marks: [...coupon.marks, ...[1, 3, 5].map(n => aFlaw({ id: `p${n}`, flaw: 'porosity', beadId: `b${n}`, side: null, atMm: 60, toMm: 66 }))] }
    expect(readCoupon(pores, rules).causes[0]!.cause.id).toBe('damp rod')
    expect(readCoupon({ ...pores, ticket: { ...pores.ticket, hoursOut: 1 } }, rules).causes[0]!.cause.id).not.toBe('damp rod')
  })
})
