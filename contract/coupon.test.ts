import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { ValidationError } from 'yup'
import { putMark } from '../core/coupon'
import { aCoupon, aFlaw } from '../core/coupon/example'
import { drawLearner, seededRandom, weldCoupon } from '../core/simulate'
import { inches } from '../core/units'
import { couponSaveSchema, couponSchema } from './coupon'

function wrong(document: unknown): string[] {
  try {
    couponSchema.validateSync(document, { abortEarly: false })
    return []
  } catch (error) {
    return (error as ValidationError).inner.map(one => `${one.path}: ${one.message}`)
  }
}
const changed = (change: Record<string, unknown>) => ({ ...aCoupon(), ...change })

describe('a coupon on the wire', () => {
  it('is taken as it opens on the bench, and comes back as it went', () => {
    const sent = putMark(aCoupon(), aFlaw())
    expect(couponSchema.validateSync(JSON.parse(JSON.stringify(sent)))).toEqual(sent)
  })

  it('whatever a student welds is taken and comes back the same', () => {
    fc.assert(fc.property(fc.integer({ min: 0, max: 1e6 }), fc.integer({ min: 0, max: 60 }), (seed, coupons) => {
      const random = seededRandom(seed)
      const welded = weldCoupon(aCoupon(), drawLearner(random, null), coupons, random)
      expect(couponSchema.validateSync(JSON.parse(JSON.stringify(welded)))).toEqual(welded)
    }), { numRuns: 60 })
  })

  it('takes the drill plates, and refuses a spacing that cannot be', () => {
    const plate = aCoupon().piece
    expect(wrong(changed({ piece: { ...plate, kind: 'restart strip', everyMm: inches(1) } }))).toEqual([])
    expect(wrong(changed({ piece: { ...plate, kind: 'arc-strike plate' } }))).toEqual([])
    expect(wrong(changed({ piece: { ...plate, kind: 'restart strip', everyMm: 1 } })).join()).toMatch(/everyMm.*at least 6 mm/)
    expect(wrong(changed({ piece: { ...plate, kind: 'anvil' } })).join()).toMatch(/choose from pad, arc-strike plate, restart strip/)
  })

  it('takes an emoji and any script in words', () => {
    expect(wrong(changed({ notes: 'schön 🔥 溶接', ticket: { ...aCoupon().ticket, rung: 'плоская 🔧' } }))).toEqual([])
  })

  it.each([
    ['a mark beyond its bead', { marks: [aFlaw({ toMm: inches(7) })] }, /marks\[0\]\.toMm: .*past the end/],
    ['a span turned round', { marks: [aFlaw({ atMm: 50, toMm: 40 })] }, /turned round/],
    ['a mark on no bead', { marks: [aFlaw({ beadId: 'b99' })] }, /no bead/],
    ['two marks of one id', { marks: [aFlaw(), aFlaw()] }, /same id/],
    ['a flaw nobody keeps', { marks: [aFlaw({ flaw: 'rust' as 'crack' })] }, /flaw.*choose from/],
    ['a mark of no kind', { marks: [{ kind: 'sticker' }] }, /no mark/],
    ['no beads', { beads: [] }, /at least one bead/],
    ['a bead off the plate', { beads: [{ ...aCoupon().beads[0]!, toMm: inches(9) }], marks: [] }, /runs off the plate/],
    ['an unknown rod', { ticket: { ...aCoupon().ticket, classification: 'E9999' } }, /ticket\.classification: .*E7018/],
    ['a rod size nobody sells', { ticket: { ...aCoupon().ticket, diameterMm: 3 } }, /1\/8 in/],
    ['half an ampere', { ticket: { ...aCoupon().ticket, currentA: 120.5 } }, /whole number of amperes/],
    ['a date in 1826', { classDay: '1826-10-05' }, /classDay: .*between 2000 and 2100/],
    ['a day that is not', { classDay: '2026-02-30' }, /date like/],
    ['5 MB of notes', { notes: 'x'.repeat(5_000_000) }, /notes: .*at most 10000 characters/],
    ['an overrule without a reason', { overrule: { verdict: 'move on', reason: ' ' } }, /reason is missing/],
    ['a field that does not belong', { grade: 'A+' }, /grade does not belong/],
    ['a student id that is no id', { studentId: '7' }, /studentId.*not an id/],
  ])('refuses %s, at its field', (_, change, message) => expect(wrong(changed(change)).join('\n')).toMatch(message))

  it('refuses what is not a coupon at all', () => {
    for (const nothing of [null, [], 'coupon', { beads: 7 }]) expect(() => couponSaveSchema.validateSync({ baseVersion: 0, why: '', document: nothing })).toThrow(ValidationError)
  })
})
