import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { putMark, setDegree, type CouponDocument, type FlawMark, type Mark } from '../coupon'
import { aCoupon, aFlaw } from '../coupon/example'
import { DEFAULT_HOUSE_RULES, writeRule } from '../house'
import { discontinuityOf, DISCONTINUITIES } from '../trade'
import { inches } from '../units'
import { elementOf, evidenceOf, flawCounts, gradeCoupon, measureCoupon, unionLength, type ElementId } from '.'

const rules = DEFAULT_HOUSE_RULES
const grade = (document: CouponDocument) => gradeCoupon(document, rules)
const measure = (document: CouponDocument, element: ElementId) =>
  measureCoupon(document, rules).elements.find(row => row.element === element)!
const withMarks = (...marks: Mark[]) => marks.reduce(putMark, aCoupon())
const poorTries = (document: CouponDocument, kind: string, count: number) =>
  document.marks
    .filter(mark => mark.kind === kind)
    .slice(0, count)
    .reduce((doc, mark) => putMark(doc, setDegree(mark, 3)), document)
const width = (id: string, beadId: string, valueMm: number): Mark => ({
  id,
  kind: 'reading',
  of: 'width',
  beadId,
  atMm: 50,
  valueMm,
})

describe('measures', () => {
  it('counts starts and ends, one of each a bead', () => {
    expect(measure(aCoupon(), 'start')).toMatchObject({ tried: 6, sound: 6 })
    expect(measure(poorTries(aCoupon(), 'end', 2), 'ends')).toMatchObject({
      tried: 6,
      sound: 4,
      markIds: ['b1-end', 'b2-end'],
    })
  })

  it('counts a workable try as tried, not as sound', () => {
    const coupon = putMark(aCoupon(), setDegree(aCoupon().marks[0]!, 2))
    expect(measure(coupon, 'start')).toMatchObject({ tried: 6, sound: 5, workable: 1 })
  })

  it('takes a pore for a quarter inch of bead, and slag that overlaps it once', () => {
    const pore = aFlaw({ id: 'p', flaw: 'porosity', side: null, atMm: 50, toMm: 50 })
    expect(measure(withMarks(pore), 'run').sound).toBeCloseTo(inches(36) - 6.35, 9)
    const slag = aFlaw({ id: 's', flaw: 'slag', side: null, atMm: 40, toMm: 60 })
    expect(measure(withMarks(pore, slag), 'run').sound).toBeCloseTo(inches(36) - 20, 9)
  })

  it('counts toes on both sides of a bead, undercut on both twice', () => {
    expect(measure(withMarks(aFlaw()), 'toes')).toMatchObject({
      tried: expect.closeTo(inches(72), 9),
      sound: expect.closeTo(inches(71), 9),
    })
    expect(measure(withMarks(aFlaw({ side: 'both' })), 'toes').sound).toBeCloseTo(inches(70), 9)
  })

  it('sums undercut and finds the deepest', () => {
    const measures = measureCoupon(withMarks(aFlaw(), aFlaw({ id: 'f2', beadId: 'b2', sizeMm: inches(1 / 16) })), rules)
    expect(measures.undercutMm).toBeCloseTo(inches(2), 9)
    expect(measures.deepestUndercutMm).toBe(inches(1 / 16))
  })

  it('holds widths to the house’s band and to each other, the limits inside', () => {
    // Default rules: 1.5 to 2 core diameters, even within 1/16 in (common practice).
    expect(measure(withMarks(width('w1', 'b1', inches(3 / 16)), width('w2', 'b2', inches(1 / 4))), 'width').sound).toBe(
      6,
    )
    expect(measure(withMarks(width('w1', 'b1', inches(9 / 32))), 'width')).toMatchObject({
      tried: 6,
      sound: 5,
      markIds: ['w1'],
    })
    expect(measureCoupon(withMarks(width('w1', 'b1', 5), width('w2', 'b2', 6)), rules).width).toEqual({
      count: 2,
      meanMm: 5.5,
      plusMinusMm: 0.5,
    })
  })

  it('adds up spans as sets of points, whatever their order', () => {
    const span = fc
      .tuple(fc.integer({ min: 0, max: 99 }), fc.integer({ min: 0, max: 99 }))
      .map(([a, b]) => ({ fromMm: Math.min(a, b), toMm: Math.max(a, b) }))
    fc.assert(
      fc.property(fc.array(span, { maxLength: 12 }), spans => {
        const cells = Array.from({ length: 99 }, (_, n) =>
          spans.some(each => each.fromMm <= n && each.toMm >= n + 1),
        ).filter(Boolean).length
        expect(unionLength(spans)).toBe(cells)
      }),
    )
  })
})

describe('verdict', () => {
  it('moves on when nothing is against it', () =>
    expect(grade(aCoupon())).toMatchObject({ verdict: 'move on', reasons: [], score: 100 }))

  it('a workable try earns half of what a sound one does: all starts workable cost half their weight', () => {
    const starts = aCoupon().marks.filter(mark => mark.kind === 'start')
    const tried = grade(aCoupon()).measures.elements.filter(row => row.tried > 0)
    const weights = tried.reduce((sum, row) => sum + elementOf(row.element).weight, 0)
    const of = (degree: 1 | 2 | 3) =>
      grade(starts.reduce((doc, mark) => putMark(doc, setDegree(mark, degree)), aCoupon())).score
    expect(of(3)).toBe(Math.round((100 * (weights - elementOf('start').weight)) / weights))
    expect(of(2)).toBe(Math.round((100 * (weights - elementOf('start').weight / 2)) / weights))
  })

  it('a crack starts over, before everything else, and points at its mark', () => {
    const crack = aFlaw({ id: 'k', flaw: 'crack', side: null, sizeMm: null })
    const { verdict, reasons } = grade(poorTries(withMarks(crack), 'start', 6))
    expect(verdict).toBe('start over')
    expect(reasons[0]).toMatchObject({ verdict: 'start over', markIds: ['k'] })
    expect(reasons.length).toBeGreaterThan(1)
  })

  it('what is not fused is run again, however little of a pad it is; light doubt of it is not', () => {
    const one = (severity: 1 | 2 | 3) => grade(withMarks(aFlaw({ flaw: 'incomplete fusion', severity })))
    expect(one(1).verdict).toBe('move on')
    expect(one(2)).toMatchObject({ verdict: 'run it again' })
    expect(one(3).reasons[0]!.text).toMatch(/ not fused: no code accepts it$/)
  })
  it.each(DISCONTINUITIES.map(row => row.id))('a bead full of bad %s is not sound', flaw => {
    const { on } = discontinuityOf(flaw)
    const full = aCoupon().beads.map((bead): FlawMark => ({
      ...aFlaw({ id: `${flaw} ${bead.id}`, flaw, beadId: bead.id, severity: 3, sizeMm: 6 }),
      atMm: bead.fromMm,
      toMm: bead.toMm,
    }))
    const strict = { ...rules, ways: { ...rules.ways, arcStrikes: 'never' as const } }
    const { verdict, score } = gradeCoupon(withMarks(...full), strict)
    // What is seen from behind lies on no pad.
    if (on === 'root') expect([verdict, score]).toEqual(['move on', 100])
    else if (flaw === 'spatter') expect(score).toBeLessThan(100)
    else expect(verdict).not.toBe('move on')
  })
  it('a hole starts over', () =>
    expect(grade(withMarks(aFlaw({ flaw: 'melt-through', side: null, toMm: inches(1) }))).verdict).toBe('start over'))

  it('takes undercut of exactly 1/32 in, and not a hair more', () => {
    expect(grade(withMarks(aFlaw({ sizeMm: inches(1 / 32) }))).verdict).toBe('move on')
    expect(grade(withMarks(aFlaw({ sizeMm: inches(1 / 32) + 0.01 }))).reasons[0]?.text).toBe(
      'Undercut over 1/32 in deep',
    )
  })

  it('takes shallow undercut on just a twentieth of the bead, and not more', () => {
    const undercut = (toMm: number): FlawMark => aFlaw({ atMm: 0, toMm })
    expect(grade(withMarks(undercut(inches(1.8)))).verdict).toBe('move on')
    expect(grade(withMarks(undercut(inches(1.9)))).reasons[0]?.text).toMatch(/1 7\/8 in of undercut/)
  })

  it('takes a share exactly at its limit: 4 of 5 starts at 80 %', () => {
    const five = (poor: number) => poorTries(aCoupon({ beadCount: 5 }), 'start', poor)
    expect(grade(five(1)).verdict).toBe('move on')
    expect(grade(five(2)).reasons[0]?.text).toBe('2 of 5 starts not sound')
  })

  it('runs again for crooked beads, laps off and uneven widths on more than a quarter', () => {
    const bad = (flaw: 'crooked' | 'lap' | 'irregular width') =>
      [1, 2, 3].map(n => aFlaw({ id: `x${n}`, beadId: `b${n}`, flaw, side: null, atMm: 0, toMm: inches(6) }))
    for (const flaw of ['crooked', 'lap', 'irregular width'] as const)
      expect(grade(withMarks(...bad(flaw))).verdict).toBe('run it again')
    expect(grade(withMarks(bad('crooked')[0]!)).verdict).toBe('move on')
  })

  it('lets light ones pass as workable, however many beads have them', () => {
    const on = (severity: 1 | 2, ...beads: number[]) =>
      beads.map(n => aFlaw({ id: `x${n}`, beadId: `b${n}`, flaw: 'crooked', side: null, severity }))
    expect(grade(withMarks(...on(1, 1, 2, 3))).verdict).toBe('move on')
    expect(grade(withMarks(...on(2, 1), ...on(1, 2, 3, 4))).verdict).toBe('move on')
    expect(grade(withMarks(...on(2, 1, 2), ...on(1, 3, 4))).reasons[0]!.text).toBe('2 of 6 beads crooked')
  })

  it('keeps the computed verdict beside the instructor’s own', () => {
    const overruled = {
      ...poorTries(aCoupon(), 'start', 6),
      overrule: { verdict: 'move on', reason: 'rods were damp' } as const,
    }
    expect(grade(overruled)).toMatchObject({ verdict: 'move on', computed: 'run it again' })
  })

  it('never scores a coupon higher for one more mark against it', () => {
    const flaw = fc.constantFrom('undercut', 'porosity', 'slag', 'crooked', 'lap', 'spatter', 'crack')
    fc.assert(
      fc.property(
        fc.array(fc.tuple(flaw, fc.integer({ min: 1, max: 6 }), fc.integer({ min: 0, max: 140 })), { maxLength: 10 }),
        flaws => {
          let document = aCoupon()
          let score = grade(document).score
          flaws.forEach(([kind, bead, at], n) => {
            document = putMark(
              document,
              aFlaw({ id: `f${n}`, flaw: kind as FlawMark['flaw'], beadId: `b${bead}`, atMm: at, toMm: at + 10 }),
            )
            expect(grade(document).score).toBeLessThanOrEqual(score)
            score = grade(document).score
          })
        },
      ),
    )
  })
})

describe('evidence', () => {
  it('has a row for each element that was tried, and none for tie-ins that were not', () => {
    const rows = evidenceOf(aCoupon(), grade(aCoupon()), rules)
    expect(rows.find(row => row.element === 'tie-in')).toBeUndefined()
    expect(rows.find(row => row.element === 'start')).toEqual({
      work: 'plate',
      position: '1G',
      rodFamily: 'low hydrogen',
      element: 'start',
      tried: 6,
      sound: 6,
      workable: 0,
    })
    for (const row of rows) expect(row.sound + row.workable).toBeLessThanOrEqual(row.tried + 1e-9)
  })

  it('counts flaws by kind and tries by fault', () => {
    const start = { ...setDegree(aCoupon().marks[0]!, 3), fault: 'stuck' } as Mark
    expect(flawCounts(withMarks(aFlaw(), aFlaw({ id: 'f2' }), start))).toEqual([
      { flaw: 'start: stuck', count: 1, lengthMm: 0 },
      { flaw: 'undercut', count: 2, lengthMm: expect.closeTo(inches(2), 9) },
    ])
  })

  it('refuses an element there is not', () => expect(() => elementOf('shine')).toThrow(/shine/))
})

describe('strikes outside the joint', () => {
  const struck = (mock: boolean) => {
    const coupon = aCoupon()
    return {
      ...coupon,
      mock,
      marks: [
        ...coupon.marks,
        aFlaw({ flaw: 'arc strike', side: null, toMm: inches(1), atMm: inches(1), sizeMm: null }),
      ],
    }
  }
  const said = (mock: boolean, rules = DEFAULT_HOUSE_RULES) =>
    gradeCoupon(struck(mock), rules).reasons.map(reason => reason.text)
  it('are counted on practice and not accepted on a mock test', () => {
    expect(said(false)).toEqual([])
    expect(said(true)).toEqual(['1 arc strike outside the joint'])
  })
  it('are never accepted where the house says so', () => {
    expect(said(false, writeRule(DEFAULT_HOUSE_RULES, 'ways.arcStrikes', 'never'))).toEqual([
      '1 arc strike outside the joint',
    ])
  })
})
