import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import {
  expectedPasses,
  isTry,
  newCoupon,
  newFlaw,
  putMark,
  setDegree,
  usualPiece,
  type CouponDocument,
  type FlawMark,
  type GaugeKind,
  type Piece,
  type Ticket,
  type TryMark,
} from '../coupon'
import { aCoupon, aFlaw, aJoint, aTicket, EXAMPLE_STUDENT } from '../coupon/example'
import { gradeCoupon } from '../grading'
import { DEFAULT_HOUSE_RULES, type HouseRules } from '../house'
import { drawTechnique, weldWith } from '../simulate'
import { mean, seededRandom } from '../statistics'
import { currentWindow } from '../setup'
import { positionOf, runAs, type PieceKind } from '../trade'
import { inches } from '../units'
import {
  causeOf,
  CAUSES,
  changeFor,
  diagnose,
  drillFor,
  expectedShares,
  questionFor,
  schoolPriors,
  signOf,
  SIGNS,
  signsOf,
  toldSigns,
  type CauseId,
  type SignId,
} from '.'

const rules = DEFAULT_HOUSE_RULES
const advice = (coupon: CouponDocument) => diagnose(coupon, rules).nextRun
const odds = (coupon: CouponDocument, id: CauseId) =>
  diagnose(coupon, rules).causes.find(row => row.cause.id === id)?.odds ?? 0
const top = (coupon: CouponDocument) => diagnose(coupon, rules).causes[0]!.cause.id
const share = (coupon: CouponDocument, id: SignId) =>
  signsOf(coupon, rules).signs.find(sign => sign.id === id)?.share ?? 0

function joint(kind: PieceKind, ticket: Partial<Ticket>, open = false): CouponDocument {
  const piece: Piece = usualPiece(kind, open)
  const full = aTicket({ travel: positionOf(ticket.position ?? '1G').travel[0]!, ...ticket })
  const passes = expectedPasses(piece, full, rules)
  return newCoupon(
    { studentId: EXAMPLE_STUDENT, classDay: '2026-10-05', rulesVersion: 1, piece, ticket: full, passes, beadCount: 1 },
    rules,
  )
}
/** A flaw along the whole of a lane. */
function along(coupon: CouponDocument, lane: number, flaw: FlawMark['flaw'], more: Partial<FlawMark> = {}) {
  const bead = coupon.beads[lane]!
  const fresh = newFlaw(coupon, `${flaw} ${lane}`, flaw, { beadId: bead.id, atMm: bead.fromMm })
  return putMark(coupon, { ...fresh, atMm: bead.fromMm, toMm: bead.toMm, ...more })
}
const everyBead = (coupon: CouponDocument, flaw: FlawMark['flaw'], more: Partial<FlawMark> = {}) =>
  coupon.beads.reduce((document, _, lane) => along(document, lane, flaw, more), coupon)
const gauge = (coupon: CouponDocument, of: GaugeKind, valueMm: number, lane = 0) =>
  putMark(coupon, {
    id: `${of} ${lane}`,
    kind: 'reading',
    of,
    beadId: coupon.beads[lane]!.id,
    atMm: (coupon.beads[lane]!.fromMm + coupon.beads[lane]!.toMm) / 2,
    valueMm,
  })

describe('which toe', () => {
  const level = (side: 'upper' | 'lower', flaw: FlawMark['flaw'] = 'undercut') =>
    everyBead(aCoupon({ ticket: { position: '2G' } }), flaw, { side })
  it('undercut on the upper toe of a level bead wants the rod up, on the lower one back toward square', () => {
    expect(top(level('upper'))).toBe('work angle')
    expect(advice(level('upper'))).toMatch(/^Point the rod 5 to 10 degrees up/)
    expect(top(level('lower'))).toBe('work angle high')
    expect(advice(level('lower'))).toMatch(/^Back toward square: 5 to 10 degrees up, no more/)
  })
  it('so it is with the toe that is rolled over: the other way round', () => {
    expect(odds(level('lower', 'overlap'), 'work angle')).toBeGreaterThan(
      3 * odds(level('lower', 'overlap'), 'work angle high'),
    )
    expect(odds(level('upper', 'overlap'), 'work angle high')).toBeGreaterThan(
      odds(level('upper', 'overlap'), 'work angle'),
    )
  })
  it('where no toe is above the other, the mirrored coupon has the mirrored cure, and the same odds', () => {
    const marks = fc.array(
      fc.record({
        bead: fc.integer({ min: 0, max: 5 }),
        flaw: fc.constantFrom('undercut' as const, 'overlap' as const, 'porosity' as const, 'slag' as const),
        side: fc.constantFrom('upper' as const, 'lower' as const, 'both' as const, null),
        severity: fc.constantFrom(1 as const, 2 as const, 3 as const),
        atMm: fc.integer({ min: 20, max: 90 }),
      }),
      { minLength: 1, maxLength: 7 },
    )
    const flip = { upper: 'lower', lower: 'upper', both: 'both' } as const
    fc.assert(
      fc.property(marks, fc.constantFrom('1G' as const, '4G' as const), (drawn, position) => {
        const build = (mirrored: boolean) =>
          drawn.reduce(
            (document, { bead, side, ...mark }, n) =>
              putMark(
                document,
                aFlaw({
                  ...mark,
                  id: `m${n}`,
                  beadId: `b${bead + 1}`,
                  toMm: mark.atMm + 20,
                  side: mirrored && side ? flip[side] : side,
                }),
              ),
            aCoupon({ ticket: { position, hand: mirrored ? 'left' : 'right' } }),
          )
        const leaning = (coupon: CouponDocument) =>
          Math.sign(
            coupon.marks.reduce((sum, mark) => {
              if (mark.kind !== 'flaw' || (mark.side !== 'upper' && mark.side !== 'lower')) return sum
              const way = (mark.side === 'upper') === (mark.flaw === 'undercut') ? 1 : -1
              return mark.flaw === 'undercut' || mark.flaw === 'overlap' ? sum + way * mark.severity * 21 : sum
            }, 0),
          )
        const [plain, mirrored] = [build(false), build(true)]
        // Eaten alike on both sides, neither is the upper: which is called so is then a matter of the drawing.
        fc.pre(leaning(plain) !== 0)
        expect(advice(mirrored)).toBe(advice(plain))
        const rows = (coupon: CouponDocument) => diagnose(coupon, rules).causes.map(row => [row.cause.id, row.odds])
        expect(rows(mirrored).map(([id]) => id)).toEqual(rows(plain).map(([id]) => id))
      }),
      { numRuns: 120 },
    )
  })
  it('on a T the words are of plates; on a lap the melting edge wants the rod lower', () => {
    const tee = along(joint('T', { position: '2F' }), 0, 'undercut', { side: 'upper' })
    expect(advice(tee)).toMatch(/toward the upper plate/)
    const low = along(joint('T', { position: '2F' }), 0, 'undercut', { side: 'lower' })
    expect(advice(low)).toMatch(/toward the lower plate/)
    const lap = along(joint('lap', { position: '2F' }), 0, 'undercut', { side: 'upper', severity: 3 })
    expect(top(lap)).toBe('edge melts')
    expect(advice(lap)).toMatch(/^Aim lower/)
    expect(odds(tee, 'edge melts')).toBeLessThan(0.001)
  })
})

describe('the run that shows it', () => {
  /** A 6G pipe whose root was run far over its window, its other passes in theirs. */
  const hotRoot = () => {
    const pipe = aJoint()
    return { ...pipe, passes: pipe.passes!.map(pass => (pass.role === 'root' ? { ...pass, currentA: 110 } : pass)) }
  }
  it('is named with its own amperes, whatever the ticket says', () => {
    const pipe = hotRoot()
    const root = pipe.beads.findIndex(bead => bead.face === 'root')
    const heavy = along(pipe, root, 'excess penetration', { side: null })
    expect(diagnose(heavy, rules).causes.map(row => row.cause.id)).toContain('current high')
    expect(advice({ ...heavy, answers: { 'rod glows': 'yes' } })).toMatch(/^Pass 1, root: down \d+ A to \d+ A/)
    const [, , to] = /down (\d+) A to (\d+) A/.exec(advice({ ...heavy, answers: { 'rod glows': 'yes' } }))!
    expect(Number(to)).toBeLessThan(110)
  })
  it('is evidence by its own window: the same marks on a pass that was set right say less for the current', () => {
    const lane = (coupon: CouponDocument, role: string) =>
      coupon.beads.findIndex(bead => coupon.passes!.find(pass => pass.id === bead.passId)?.role === role)
    const coupon = hotRoot()
    const onRoot = along(coupon, lane(coupon, 'root'), 'undercut', { side: 'both' })
    const onCap = along(coupon, lane(coupon, 'cap'), 'undercut', { side: 'both' })
    expect(odds(onRoot, 'current high')).toBeGreaterThan(odds(onCap, 'current high') + 0.2)
  })
  it('a fault on the first bead alone, or the last, is said of it', () => {
    const pad = aCoupon({ ticket: { position: '2G' } })
    expect(advice(along(pad, 0, 'overlap', { side: 'lower' }))).toMatch(/^The first bead faster: nothing under it/)
    expect(advice(along(pad, 0, 'undercut', { side: 'both', severity: 3 }))).not.toMatch(/^The first bead faster/)
    const low = along(along(pad, 5, 'undercut', { side: 'upper' }), 5, 'underfill')
    expect(advice(low)).toMatch(/^The last bead slower, and watch its upper toe/)
    expect(advice(along(along(pad, 5, 'crooked'), 5, 'lap'))).toMatch(/^On the last bead: brace both arms/)
  })
  it('on any other bead, or on a first bead run flat, neither is thought of', () => {
    const pad = aCoupon({ ticket: { position: '2G' } })
    const rolled = (lane: number, coupon = pad) => along(coupon, lane, 'overlap', { side: 'lower' })
    expect(odds(rolled(0), 'first bead slow')).toBeGreaterThan(0.15)
    for (const coupon of [rolled(2), rolled(1, rolled(0)), rolled(0, aCoupon())])
      expect(odds(coupon, 'first bead slow')).toBeLessThan(1e-3)
    expect(odds(along(pad, 4, 'underfill'), 'hurried last')).toBeLessThan(1e-3)
    expect(odds(along(pad, 5, 'underfill'), 'hurried last')).toBeGreaterThan(0.1)
  })
  it('where little shows something to try is said all the same, and asked; nothing that the piece cannot tell', () => {
    const one = putMark(aCoupon(), aFlaw({ severity: 1, side: 'both', atMm: 50, toMm: 52 }))
    const found = diagnose(one, rules)
    expect(found.change!.cause.id).toBe('travel fast')
    expect(questionFor(one, rules, found)!.ask).toBe(signOf('narrow').ask)
    const slag = (coupon: CouponDocument) =>
      putMark(coupon, aFlaw({ flaw: 'slag', side: null, beadId: coupon.beads.at(-1)!.id }))
    expect(advice(slag(aCoupon()))).toMatch(/chip and brush every bead and every crater/i)
    expect(advice(slag(aJoint()))).toMatch(/^Pass 4, cap, at 3 o’clock: chip and brush every bead and every crater/)
    const crooked = (position: '1G' | '2G') => along(aCoupon({ ticket: { position } }), 2, 'crooked')
    const asks = (coupon: CouponDocument) => questionFor(coupon, rules, diagnose(coupon, rules))?.sign
    expect([asks(crooked('2G')), asks(crooked('1G'))]).toEqual(['runs off level', undefined])
  })
})

describe('one bad try among many', () => {
  const pipe = aJoint(undefined, { rung: '6G pipe', position: '6G', travel: 'up', rods: 'stubs', currentA: 85 })
  const restarts = pipe.marks.filter(isTry).filter(mark => mark.kind === 'restart' || mark.kind === 'tie-in')
  const high = (count: number) =>
    restarts
      .slice(0, count)
      .reduce((document, mark) => putMark(document, { ...setDegree(mark, 3), fault: 'high' } as TryMark), pipe)
  it('is a slip; half of them are not', () => {
    expect(restarts.length).toBeGreaterThan(6)
    expect(odds(high(1), 'too long in crater')).toBeLessThan(0.15)
    expect(odds(high(Math.ceil(restarts.length / 2)), 'too long in crater')).toBeGreaterThan(0.8)
  })
  it('restarts that were not run are not spoken of', () => {
    const unbroken = { ...pipe, marks: pipe.marks.filter(mark => !restarts.some(one => one.id === mark.id)) }
    const marked = everyBead(unbroken, 'undercut', { side: 'both' })
    expect(odds(marked, 'too long in crater')).toBeLessThan(1e-3)
  })
})

describe('where along a bead', () => {
  it('a crack or pinholes from end to end are no matter of an end or a start, whichever way it was run', () => {
    for (const travel of ['left to right', 'right to left'] as const) {
      const pad = aCoupon({ ticket: { travel } })
      const ids = (flaw: 'crack' | 'porosity') => signsOf(along(pad, 0, flaw), rules).signs.map(sign => sign.id)
      expect(ids('crack')).toEqual(['crack along'])
      expect(ids('porosity')).toEqual(['porosity everywhere'])
    }
  })
  it('what is dropped at an end or beside a start is of that place, at either end of the pad', () => {
    for (const travel of ['left to right', 'right to left'] as const) {
      const pad = aCoupon({ ticket: { travel } })
      const lane = pad.beads[0]!
      const ends = { near: lane.fromMm, far: lane.toMm }
      const [begun, ended] = travel === 'left to right' ? [ends.near, ends.far] : [ends.far, ends.near]
      const inward = travel === 'left to right' ? 5 : -5
      const seen = (flaw: 'crack' | 'porosity', atMm: number) =>
        signsOf(putMark(pad, newFlaw(pad, flaw, flaw, { beadId: lane.id, atMm })), rules).signs.map(sign => sign.id)
      expect(seen('crack', ended)).toEqual(['crack in crater'])
      expect(seen('porosity', begun + inward)).toEqual(['porosity at starts'])
    }
  })
})

describe('how much', () => {
  const light = putMark(aCoupon(), aFlaw({ severity: 1, side: 'both', atMm: 50, toMm: 50 + inches(1 / 2) }))
  const bad = everyBead(aCoupon(), 'undercut', { side: 'both', severity: 3 })
  it('a light half inch and a bad whole coupon are not the same sign', () => {
    expect(share(light, 'undercut both')).toBeLessThan(0.1)
    expect(share(bad, 'undercut both')).toBe(1)
    const likeliest = (coupon: CouponDocument) => diagnose(coupon, rules).causes[0]!.odds
    expect(likeliest(bad)).toBeGreaterThan(likeliest(light) + 0.15)
  })
  it('longer and worse never says less', () => {
    const one = (severity: 1 | 2 | 3, toMm: number) =>
      share(putMark(aCoupon(), aFlaw({ severity, side: 'both', atMm: 20, toMm })), 'undercut both')
    expect(one(2, 45)).toBeGreaterThan(one(1, 45))
    expect(one(1, 90)).toBeGreaterThan(one(1, 45))
  })
})

describe('what is gauged is a sign like what is marked', () => {
  it.each([
    ['a bead too high', () => gauge(aCoupon(), 'height', inches(1 / 4)), 'too high'],
    ['a bead too low', () => gauge(aCoupon(), 'height', inches(1 / 64)), 'too low'],
    ['a fillet too crowned', () => gauge(joint('T', { position: '1F' }), 'convexity', inches(1 / 4)), 'too high'],
    ['a leg too short', () => gauge(joint('T', { position: '1F' }), 'upper leg', inches(1 / 16)), 'too low'],
    [
      'a root standing through',
      () =>
        gauge(
          aJoint(),
          'penetration',
          inches(1 / 4),
          aJoint().beads.findIndex(bead => bead.face === 'root'),
        ),
      'root heavy',
    ],
  ] as const)('%s', (_, coupon, sign) => expect(share(coupon(), sign)).toBeGreaterThan(0))
  it('marked and gauged is one sign, with all its marks', () => {
    const both = gauge(along(aCoupon(), 0, 'excess weld metal'), 'height', inches(1 / 4))
    const signs = signsOf(both, rules).signs.filter(sign => sign.id === 'too high')
    expect(signs).toHaveLength(1)
    expect(signs[0]!.markIds).toHaveLength(2)
  })
})

describe('the words fit the piece and the card', () => {
  const leaned = (coupon: CouponDocument) => {
    const marked = ['overlap', 'undercut', 'porosity', 'excess weld metal', 'slag'].reduce(
      (document, flaw) => everyBead(document, flaw as FlawMark['flaw'], { side: 'both' }),
      coupon,
    )
    return diagnose(marked, rules)
  }
  it.each([
    [
      'a rutile fillet drags 20 to 30',
      joint('T', { position: '2F', classification: 'E6013', currentA: 115 }),
      /20 to 30/,
    ],
    ['vertical-up pushes', joint('T', { position: '3F', travel: 'up', currentA: 110 }), /Push no more than 10/],
    ['overhead is straight in', aCoupon({ ticket: { position: '4G' } }), /Rod straight in: lean it no more than/],
    ['a flat pad drags 10 to 15', aCoupon(), /Lean the rod 10 to 15 degrees, no more/],
  ])('%s', (_, coupon, words) => {
    const { change, nextRun } = leaned(coupon)
    expect(change!.cause.id).toBe('travel angle')
    expect(nextRun).toMatch(words)
  })
  it('nothing is between the beads of a joint that is one bead', () => {
    const edge = joint('edge', { position: '1G' })
    expect(edge.beads).toHaveLength(1)
    expect(odds(along(edge, 0, 'slag'), 'not cleaned')).toBeLessThan(0.01)
  })
  it('no pad is drilled for a joint, and no whole line for a pipe', () => {
    for (const coupon of [aJoint(), joint('plate groove', { position: '3G', travel: 'up' }, true)])
      for (const flaw of ['crooked', 'undercut', 'irregular width', 'slag'] as const)
        expect(advice(everyBead(coupon, flaw, { side: 'both' }))).not.toMatch(/pad|soapstone|beads:/)
    expect(advice(everyBead(aJoint(), 'crooked'))).not.toMatch(/whole line/)
  })
  it('a crack along a bead is no crater: it says to start over, and why', () => {
    const coupon = along(joint('plate groove', { position: '1G' }, true), 0, 'crack', { side: null, form: 'along' })
    expect(top(coupon)).toBe('bead thin')
    expect(advice(coupon)).toMatch(/[Ss]tart over: cut the crack out, preheat as the code book says/)
    expect(odds(coupon, 'crater left')).toBe(0)
  })
})

describe('over many coupons', () => {
  const random = seededRandom(424)
  const coupons = Array.from({ length: 400 }, () => weldWith(drawTechnique(random), rules, random))
  it('a coupon that fails its grade is never to be run the same again', () => {
    for (const coupon of coupons)
      if (gradeCoupon(coupon, rules).computed !== 'move on') expect(advice(coupon)).not.toMatch(/hold these settings/)
    const gapped = gauge(aCoupon(), 'width', inches(1))
    expect(advice(gapped)).not.toMatch(/hold these settings/)
  })
  it('the amperes advised lie in the window, or nearer to it than they were', () => {
    for (const coupon of coupons) {
      const { classification, diameterMm, position } = coupon.ticket
      const { lowA, highA } = currentWindow({ classification, diameterMm, position: runAs(position) }, rules)
      const found = /(Up|Down) \d+ A to (\d+) A/.exec(advice(coupon))
      if (!found) continue
      const [was, to] = [coupon.ticket.currentA, Number(found[2])]
      const off = (currentA: number) => Math.max(0, lowA - currentA, currentA - highA)
      expect(off(to)).toBeLessThanOrEqual(off(was))
      expect(Math.sign(to - was)).toBe(found[1] === 'Up' ? 1 : -1)
    }
  })
  it('an instructor who only ever names one cause does not spoil the odds of the others', () => {
    // Of forty coupons of all kinds, each said to be of a long arc.
    const said = coupons.filter(coupon => signsOf(coupon, rules).signs.length > 0).slice(0, 40)
    const counts = new Map<CauseId, { said: number; expected: number }>()
    for (const coupon of said) {
      const { causes } = diagnose(coupon, rules)
      const shares = expectedShares(causes.map(row => row.odds))
      causes.forEach(({ cause: { id } }, n) => {
        const before = counts.get(id) ?? { said: 0, expected: 0 }
        counts.set(id, {
          said: before.said + (id === 'arc long' ? 1 : 0),
          expected: before.expected + shares[n]!,
        })
      })
    }
    const oneNote = { school: Object.fromEntries(counts), student: {} }
    const moved = coupons.slice(0, 300).map(coupon => {
      const rows = new Map(diagnose(coupon, rules, oneNote).causes.map(row => [row.cause.id, row.odds]))
      const plain = new Map(diagnose(coupon, rules).causes.map(row => [row.cause.id, row.odds]))
      return CAUSES.filter(cause => cause.id !== 'arc long').reduce(
        (total, { id }) => total + Math.abs((rows.get(id) ?? 0) - (plain.get(id) ?? 0)),
        0,
      )
    })
    expect(mean(moved)).toBeLessThan(0.25)
    const priors = schoolPriors(oneNote.school)
    CAUSES.forEach((cause, n) => {
      if (cause.id !== 'arc long') expect(priors[n]! / cause.prior).toBeGreaterThan(0.5)
    })
    expect(priors[0]! / CAUSES[0]!.prior).toBeLessThan(2.5)
  })
})

describe('what is only told', () => {
  const ids = (coupon: CouponDocument) => toldSigns(coupon).map(sign => sign.id)
  it('is offered where it can be told of', () => {
    expect(ids(aCoupon())).not.toContain('keyhole grew')
    expect(ids(aJoint())).toContain('keyhole grew')
    expect(ids(aCoupon())).not.toContain('puddle one side')
    expect(ids(aCoupon({ ticket: { classification: 'E6010', currentA: 100 } }))).toContain('ripples off step')
    expect(ids(aCoupon())).not.toContain('ripples off step')
  })
  it('decides the change: an arc that wandered is not cured by letting the plate cool', () => {
    const pad = ['b4', 'b5', 'b6'].reduce(
      (document, beadId) => putMark(document, aFlaw({ id: beadId, beadId, side: 'upper', severity: 1 })),
      aCoupon(),
    )
    const told = { ...pad, answers: { 'arc wanders': 'yes' as const } }
    expect(diagnose(told, rules).causes[0]!.cause.id).toBe('arc blow')
    expect(advice(told)).toMatch(/Move the clamp/)
  })
  it('an arc that wandered names its cause on a coupon that shows nothing', () => {
    const told = diagnose({ ...aCoupon(), answers: { 'arc wanders': 'yes' } }, rules)
    expect(told.change?.cause.id).toBe('arc blow')
    expect(told.nextRun).toMatch(/^Move the clamp/)
  })
  it('every one of them weighs something', () => {
    for (const sign of SIGNS.filter(one => one.lookedFor === 'asked')) expect(sign.weight).toBeGreaterThan(0)
  })
})

describe('the house’s ways', () => {
  const by = (ways: Partial<HouseRules['ways']>): HouseRules => ({ ...rules, ways: { ...rules.ways, ...ways } })
  const said = (id: CauseId, document: CouponDocument, ways: Partial<HouseRules['ways']> = {}) => {
    const wanted = { cause: causeOf(id), document, markIds: [], strong: false }
    return `${changeFor(wanted, by(ways))}. Then ${drillFor(causeOf(id), document, by(ways))}`
  }
  const level = aCoupon({ ticket: { position: '2G' } })
  it.each([
    ['aim', level, {}, /^Aim just above the toe of the last bead/],
    ['aim', level, { horizontalAim: 'on the toe' }, /^Aim at the toe of the last bead/],
    ['aim', aCoupon(), {}, /^Aim at the toe of the last bead/],
    ['crater left', aCoupon(), {}, /^Pause and back over the crater/],
    ['crater left', aCoupon(), { endOfRun: 'weld in' }, /^Stop an inch short/],
    ['first bead slow', level, {}, /^The first bead faster/],
    ['first bead slow', level, { firstBead: 'flat' }, /^Lay the first bead flat/],
    ['weave wide', aCoupon(), {}, /^Keep the weave narrower/],
    ['weave wide', aCoupon(), { manipulation: 'stringers' }, /^Stringers only/],
    ['too long in crater', aCoupon(), {}, /a strip of eight restarts on stubs$/],
    ['too long in crater', aCoupon(), { stubDays: 'never' }, /a strip of eight restarts$/],
  ] as const)('%s is said as the house does it', (id, document, ways, words) =>
    expect(said(id, document, ways)).toMatch(words),
  )
  it.each([
    ['current high', false, 120, 'Down 5 A to 115 A'],
    ['current high', true, 120, 'Down 10 A to 110 A'],
    ['current low', false, 120, 'Up 5 A to 125 A'],
    ['current low', true, 120, 'Up 10 A to 130 A'],
    ['current high', false, 170, 'Down 20 A to 150 A'],
    ['current low', true, 145, 'Up 5 A to 150 A'],
    ['current high', false, 110, 'Down 5 A to 105 A'],
  ] as const)('%s, beyond doubt %s, at %d A: %s', (id, strong, currentA, says) => {
    const document = aCoupon({ ticket: { currentA } })
    expect(changeFor({ cause: causeOf(id), document, markIds: [], strong }, rules)).toBe(says)
  })
  it('a house without stub days is never sent to drill on stubs', () => {
    for (const { id } of CAUSES)
      expect(drillFor(causeOf(id), aCoupon(), by({ stubDays: 'never' })), id).not.toMatch(/on stubs/)
  })
})
