import { describe, expect, it } from 'vitest'
import { inches } from '../units'
import { DISCONTINUITIES } from '../trade'
import { aCoupon, aFlaw, aTicket, EXAMPLE_PLATE } from './example'
import {
  beadNumber,
  describeMark,
  describePiece,
  describeRod,
  newFlaw,
  newReading,
  travelsForward,
  triesNear,
  weldedLength,
} from '.'

describe('in words', () => {
  const coupon = aCoupon()

  it('a rod and a plate are said as they are asked for', () => {
    expect(describeRod(aTicket())).toBe('E7018 · 1/8')
    expect(describeRod(aTicket({ classification: 'E6010', diameterMm: inches(3 / 32) }))).toBe('E6010 · 3/32')
    expect(describePiece(EXAMPLE_PLATE, 'in')).toBe('6 × 4 × 3/8 in')
    expect(describePiece(EXAMPLE_PLATE, 'mm')).toBe('152 × 102 × 10 mm')
  })

  it.each([
    [
      aFlaw({ flaw: 'porosity', side: null, toMm: inches(1), sizeMm: inches(1 / 16) }),
      'bead 1, porosity at 1 in, 1/16 in across',
    ],
    [aFlaw({ flaw: 'slag', side: null, sizeMm: null }), 'bead 1, slag from 1 in to 2 in, plain'],
    [
      aFlaw({ flaw: 'crack', side: null, sizeMm: null, severity: 3, beadId: 'b5' }),
      'bead 5, crack from 1 in to 2 in, bad',
    ],
    [aFlaw({ flaw: 'spatter', side: null, sizeMm: null, severity: 1 }), 'bead 1, spatter, light'],
    [aFlaw({ flaw: 'overlap', side: 'lower', sizeMm: null }), 'bead 1, overlap from 1 in to 2 in, lower toe, plain'],
    [aFlaw({ side: 'both' }), 'bead 1, undercut from 1 in to 2 in, both toes, 1/32 in deep'],
    [aFlaw({ flaw: 'arc strike', side: null, sizeMm: null, toMm: inches(1) }), 'bead 1, stray strike at 1 in, plain'],
  ])('a flaw says where, which toe, and how bad or how big', (mark, words) =>
    expect(describeMark(coupon, mark, 'in')).toBe(words),
  )

  it('a sound try says no fault', () => {
    expect(describeMark(coupon, coupon.marks[0]!, 'in')).toBe('bead 1, start at 0 in: sound')
  })

  it('every kind of flaw can be said in either unit', () => {
    for (const { id } of DISCONTINUITIES) {
      const mark = newFlaw(coupon, 'm', id, { beadId: 'b3', atMm: 50 })
      for (const unit of ['in', 'mm'] as const) expect(describeMark(coupon, mark, unit)).toMatch(/^bead 3, [a-z]/)
    }
  })
})

describe('lanes', () => {
  it('are numbered in the order laid, and 0 for what is not there', () => {
    expect([beadNumber(aCoupon(), 'b4'), beadNumber(aCoupon(), 'b9')]).toEqual([4, 0])
  })

  it('add up to the length welded', () => expect(weldedLength(aCoupon())).toBeCloseTo(inches(36), 9))

  it.each([
    ['left to right', true],
    ['up', true],
    ['right to left', false],
    ['down', false],
  ] as const)('%s goes forward: %s', (travel, forward) => {
    const pad = aCoupon({ ticket: { travel } })
    expect(travelsForward(pad, pad.beads[0]!)).toBe(forward)
  })

  it('are centred on the plate when they do not fill it', () => {
    const { beads } = aCoupon()
    const lowest = beads[0]!.offsetMm - beads[0]!.widthMm / 2
    const highest = beads.at(-1)!.offsetMm + beads.at(-1)!.widthMm / 2
    expect(lowest).toBeCloseTo(EXAMPLE_PLATE.widthMm - highest, 9)
  })
})

describe('tries near a place', () => {
  it('come nearest first, of the kind and the bead that are meant', () => {
    const stubs = aCoupon({ ticket: { rods: 'stubs' } })
    const near = triesNear(stubs, 'restart', { beadId: 'b2', atMm: 80 })
    expect(near.length).toBeGreaterThan(0)
    expect(near.every(mark => mark.kind === 'restart' && mark.beadId === 'b2')).toBe(true)
    const away = near.map(mark => Math.abs(mark.atMm - 80))
    expect(away).toEqual([...away].sort((a, b) => a - b))
  })

  it('do not count readings', () => {
    const coupon = { ...aCoupon(), marks: [newReading('w', 'width', { beadId: 'b1', atMm: 5 }, 6)] }
    expect(triesNear(coupon, 'start', { beadId: 'b1', atMm: 5 })).toEqual([])
  })
})
