import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { DEFAULT_HOUSE_RULES, wantedWidth } from '../house'
import { inches } from '../units'
import { DISCONTINUITIES } from '../trade'
import { measureCoupon } from '../grading'
import { aCoupon, aFlaw, aTicket, EXAMPLE_PLATE, EXAMPLE_STUDENT } from './example'
import {
  beadEnd,
  beadStart,
  clampToBead,
  describeMark,
  describePiece,
  isFlaw,
  isTry,
  layLanes,
  layOutAgain,
  moveMark,
  newCoupon,
  newFlaw,
  newReading,
  putMark,
  removeMark,
  setDegree,
  stretchSpan,
  tryMeant,
  turnSide,
  type FlawMark,
  type TryMark,
} from '.'

const rules = DEFAULT_HOUSE_RULES

describe('a new coupon', () => {
  it('comes with a sound start and end on every bead', () => {
    const { marks, beads } = aCoupon()
    for (const bead of beads) {
      expect(marks.filter(mark => mark.beadId === bead.id && mark.kind === 'start')).toHaveLength(1)
      expect(marks.filter(mark => mark.beadId === bead.id && mark.kind === 'end')).toHaveLength(1)
    }
    expect(marks.filter(isTry).every(mark => mark.degree === 'sound')).toBe(true)
  })

  it('laps its beads by the middle of the house’s overlap, at the top of its width', () => {
    const { beads } = aCoupon()
    const width = wantedWidth(rules, inches(1 / 8)).highMm
    expect(beads[0]!.widthMm).toBeCloseTo(width, 9)
    expect(beads[1]!.offsetMm - beads[0]!.offsetMm).toBeCloseTo(width * 0.6, 9)
  })

  it('starts at the right edge when the travel is right to left', () => {
    const coupon = aCoupon({ ticket: { travel: 'right to left', hand: 'left' } })
    expect(coupon.marks.find(mark => mark.id === 'b1-start')!.atMm).toBeCloseTo(inches(6), 9)
    expect(beadStart(coupon, coupon.beads[0]!)).toBeGreaterThan(beadEnd(coupon, coupon.beads[0]!))
  })

  it('foresees more restarts on a day of stubs', () => {
    const restarts = (rods: 'new' | 'stubs') =>
      aCoupon({ ticket: { rods } }).marks.filter(mark => mark.kind === 'restart').length
    expect(restarts('stubs')).toBeGreaterThan(restarts('new'))
  })

  it('mirrors its restarts for the other direction', () => {
    const places = (travel: 'left to right' | 'right to left') =>
      aCoupon({ ticket: { travel } })
        .marks.filter(mark => mark.kind === 'restart')
        .map(mark => mark.atMm)
    places('left to right').forEach((at, index) =>
      expect(places('right to left')[index]).toBeCloseTo(inches(6) - at, 9),
    )
  })

  it('refuses beads that do not fit on the plate', () => {
    expect(() => layLanes(EXAMPLE_PLATE, { count: 60, beadMm: 9, overlap: 0.4 }, n => `b${n}`)).toThrow(/do not fit/)
  })
})

describe('a bead’s arc time', () => {
  const timed = () => {
    const coupon = aCoupon()
    return { ...coupon, beads: coupon.beads.map(bead => (bead.id === 'b2' ? { ...bead, arcSeconds: 41.5 } : bead)) }
  }
  it('stays with its bead when the coupon is laid out again', () => {
    expect(layOutAgain(timed(), { beadCount: 8 }, rules).beads.find(bead => bead.id === 'b2')!.arcSeconds).toBe(41.5)
    expect(layOutAgain(timed(), { ticket: aTicket({ currentA: 140 }) }, rules).beads[1]!.arcSeconds).toBe(41.5)
  })
  it('goes with a bead that is taken off, and no other bead gets one', () => {
    const less = layOutAgain(timed(), { beadCount: 1 }, rules)
    expect(less.beads.every(bead => !('arcSeconds' in bead))).toBe(true)
  })
})

describe('the drill plates', () => {
  const drill = (kind: 'arc-strike plate' | 'restart strip', everyMm: number | undefined, beadCount: number) =>
    newCoupon(
      {
        studentId: EXAMPLE_STUDENT,
        classDay: '2026-10-05',
        rulesVersion: 1,
        piece: { ...EXAMPLE_PLATE, kind, ...(everyMm === undefined ? {} : { everyMm }) },
        ticket: aTicket(),
        beadCount,
      },
      rules,
    )

  it('an arc-strike plate has short runs in rows, each with its start and its end, and no restart', () => {
    const { beads, marks } = drill('arc-strike plate', inches(1), 10)
    expect(beads).toHaveLength(10)
    for (const bead of beads) {
      expect(bead.toMm - bead.fromMm).toBeCloseTo(inches(1), 9)
      expect(bead.fromMm >= 0 && bead.toMm <= EXAMPLE_PLATE.lengthMm).toBe(true)
    }
    expect(new Set(beads.map(bead => bead.offsetMm)).size).toBe(3)
    expect(marks.filter(mark => mark.kind === 'start')).toHaveLength(10)
    expect(marks.filter(mark => mark.kind === 'restart')).toHaveLength(0)
  })
  it('runs of one row leave plate between them, and rows do not touch', () => {
    const { beads } = drill('arc-strike plate', inches(1), 10)
    expect(beads[1]!.fromMm - beads[0]!.toMm).toBeCloseTo(inches(1 / 2), 9)
    expect(beads[4]!.offsetMm - beads[0]!.offsetMm).toBeGreaterThan(beads[0]!.widthMm)
  })
  it('refuses more runs than fit, and runs longer than the plate', () => {
    expect(() => drill('arc-strike plate', inches(1), 60)).toThrow(/do not fit/)
    expect(() => drill('arc-strike plate', inches(9), 1)).toThrow(/do not fit/)
  })
  it('a restart strip is restart after restart at its spacing, whatever the rod holds', () => {
    const places = (everyMm?: number) =>
      drill('restart strip', everyMm, 1)
        .marks.filter(mark => mark.kind === 'restart')
        .map(mark => mark.atMm)
    expect(places(inches(1))).toHaveLength(5)
    expect(places(inches(1))[0]).toBeCloseTo(inches(1), 9)
    expect(places()).toEqual(places(inches(1)))
    expect(places(inches(2))).toHaveLength(2)
    // The last inch and a quarter is more than half a step: one more restart falls in it.
    expect(places(inches(1.3))).toHaveLength(4)
  })
  it('an arc-strike plate has no laps to grade', () => {
    const lap = measureCoupon(drill('arc-strike plate', inches(1), 6), rules).elements.find(
      row => row.element === 'overlap',
    )!
    expect(lap.tried).toBe(0)
  })
  it('says what it is beside its size', () => {
    expect(describePiece({ ...EXAMPLE_PLATE, kind: 'restart strip' }, 'in')).toBe('restart strip, 6 × 4 × 3/8 in')
    expect(describePiece(EXAMPLE_PLATE, 'in')).toBe('6 × 4 × 3/8 in')
  })
})

describe('marks', () => {
  const place = { beadId: 'b2', atMm: 60 }

  it('a letter means the try near the cursor, then the nearest sound one, then none', () => {
    const coupon = putMark(aCoupon(), {
      id: 'r1',
      kind: 'restart',
      beadId: 'b1',
      atMm: 60,
      degree: 'poor',
      fault: 'high',
      rod: 'new',
    } satisfies TryMark)
    expect(tryMeant(coupon, 'restart', { beadId: 'b1', atMm: 62 })?.id).toBe('r1')
    expect(tryMeant(coupon, 'end', { beadId: 'b1', atMm: 10 })?.id).toBe('b1-end')
    expect(tryMeant(coupon, 'tie-in', { beadId: 'b1', atMm: 10 })).toBeNull()
  })

  it('a flaw takes the shape its kind asks for', () => {
    const coupon = aCoupon()
    const span = newFlaw(coupon, 'a', 'undercut', place)
    expect(span.toMm - span.atMm).toBeCloseTo(inches(1 / 2), 9)
    expect(newFlaw(coupon, 'b', 'porosity', place).toMm).toBe(60)
    expect(newFlaw(coupon, 'c', 'crooked', place)).toMatchObject({ atMm: 0, toMm: inches(6) })
    expect(newFlaw(aCoupon({ ticket: { position: '2G' } }), 'd', 'undercut', place).side).toBe('upper')
  })
  it('too high begins as the whole bead, and can be shortened to its place', () => {
    const coupon = aCoupon()
    const whole = newFlaw(coupon, 'a', 'excess weld metal', { beadId: 'b2', atMm: 60 })
    expect(whole).toMatchObject({ atMm: 0, toMm: inches(6) })
    expect(stretchSpan(coupon, whole, -inches(2)).toMm).toBeCloseTo(inches(4))
  })

  it('a digit sets how bad it is, and the size that goes with it', () => {
    expect(setDegree(aFlaw(), 3)).toMatchObject({ severity: 3, sizeMm: inches(1 / 16) })
    expect(
      setDegree({ id: 'r', kind: 'restart', beadId: 'b1', atMm: 1, degree: 'poor', fault: 'high', rod: 'new' }, 1),
    ).toMatchObject({ degree: 'sound', fault: null })
    const reading = newReading('w', 'width', place, 8)
    expect(setDegree(reading, 3)).toBe(reading)
  })

  it('turns a flaw from toe to toe, and only one that has toes', () => {
    expect(turnSide(aFlaw({ side: 'upper' })).side).toBe('lower')
    expect(turnSide(aFlaw({ side: 'both' })).side).toBe('upper')
    expect(turnSide(aFlaw({ flaw: 'porosity', side: null })).side).toBeNull()
  })

  it('comes off again', () => expect(removeMark(putMark(aCoupon(), aFlaw()), 'f1')).toEqual(aCoupon()))

  it('is said in words', () => {
    const coupon = aCoupon()
    expect(
      describeMark(
        coupon,
        { id: 'r', kind: 'restart', beadId: 'b4', atMm: inches(3 + 5 / 16), degree: 'poor', fault: 'high', rod: 'new' },
        'in',
      ),
    ).toBe('bead 4, restart at 3 5/16 in: poor, high')
    expect(describeMark(coupon, aFlaw(), 'in')).toBe('bead 1, undercut from 1 in to 2 in, upper toe, 1/32 in deep')
    expect(describeMark(coupon, newReading('w', 'width', place, 9.525), 'mm')).toBe('bead 2, width at 60 mm: 9.5 mm')
  })

  it('never leaves its bead, however it is moved and stretched, and a span is never turned round', () => {
    const coupon = aCoupon()
    const flaws = fc.constantFrom(...DISCONTINUITIES.map(row => row.id))
    const step = fc.double({ min: -300, max: 300, noNaN: true })
    fc.assert(
      fc.property(
        flaws,
        fc.double({ min: 0, max: inches(6), noNaN: true }),
        fc.array(fc.tuple(fc.boolean(), step), { maxLength: 12 }),
        (flaw, atMm, steps) => {
          let mark: FlawMark = newFlaw(coupon, 'm', flaw, { beadId: 'b1', atMm })
          for (const [stretch, by] of steps)
            mark = stretch ? stretchSpan(coupon, mark, by) : (moveMark(coupon, mark, by) as FlawMark)
          expect(mark.atMm).toBeGreaterThanOrEqual(-1e-9)
          expect(mark.toMm).toBeGreaterThanOrEqual(mark.atMm)
          expect(mark.toMm).toBeLessThanOrEqual(inches(6) + 1e-9)
        },
      ),
    )
  })

  it('a place is held on its bead', () => {
    const bead = aCoupon().beads[0]!
    expect([clampToBead(bead, -5), clampToBead(bead, 9999), clampToBead(bead, 50)]).toEqual([0, bead.toMm, 50])
  })
})

describe('laying out again', () => {
  it('keeps what was marked on beads that stay, and drops what was on beads that go', () => {
    const marked = putMark(putMark(aCoupon(), aFlaw()), aFlaw({ id: 'f6', beadId: 'b6' }))
    const fewer = layOutAgain(marked, { beadCount: 4 }, rules)
    expect(fewer.beads).toHaveLength(4)
    expect(fewer.marks.filter(isFlaw).map(mark => mark.id)).toEqual(['f1'])
  })

  it('foresees anew what was not graded, and keeps what was', () => {
    const poor = setDegree(
      aCoupon().marks.find(mark => mark.id === 'b1-start')!,
      3,
    )
    const stubs = layOutAgain(putMark(aCoupon(), poor), { ticket: aTicket({ rods: 'stubs' }) }, rules)
    expect(stubs.marks.find(mark => mark.id === 'b1-start')).toMatchObject({ degree: 'poor' })
    expect(stubs.marks.filter(mark => mark.kind === 'restart').length).toBeGreaterThan(
      aCoupon().marks.filter(mark => mark.kind === 'restart').length,
    )
  })

  it('takes a graded start to the other edge when the travel turns', () => {
    const poor = setDegree(
      aCoupon().marks.find(mark => mark.id === 'b1-start')!,
      3,
    )
    const turned = layOutAgain(putMark(aCoupon(), poor), { ticket: aTicket({ travel: 'right to left' }) }, rules)
    expect(turned.marks.find(mark => mark.id === 'b1-start')!.atMm).toBeCloseTo(inches(6), 9)
  })

  it('changes nothing when nothing changes', () => {
    const again = layOutAgain(aCoupon(), {}, rules)
    expect(again.marks).toEqual(aCoupon().marks)
  })
})
