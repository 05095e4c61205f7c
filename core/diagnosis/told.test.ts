import { describe, expect, it } from 'vitest'
import { putMark, setDegree, type CouponDocument, type TryMark } from '../coupon'
import { aCoupon, aFitUp, aFlaw, aJoint } from '../coupon/example'
import { DEFAULT_HOUSE_RULES } from '../house'
import { inches } from '../units'
import { diagnose, toldSigns, type SignId } from '.'

const rules = DEFAULT_HOUSE_RULES
const canTell = (document: CouponDocument, id: SignId) => toldSigns(document).some(sign => sign.id === id)
const on = (thicknessMm: number) => {
  const pad = aCoupon()
  return { ...pad, piece: { ...pad.piece, thicknessMm } } as CouponDocument
}

describe('what can be told of a coupon', () => {
  it('is of the root only where there is one, and of the whip only with a rod that is whipped', () => {
    expect([canTell(aCoupon(), 'sparks in front'), canTell(aJoint(), 'sparks in front')]).toEqual([false, true])
    expect(canTell(aCoupon(), 'whip sideways')).toBe(false)
    expect(canTell(aCoupon({ ticket: { classification: 'E6010', currentA: 100 } }), 'whip sideways')).toBe(true)
  })
  // Heat shows on the back of 1/4 in and less: common practice.
  it('is of the back only where the plate is thin enough to show it', () => {
    expect([canTell(on(inches(1 / 4)), 'back burnt'), canTell(on(inches(3 / 8)), 'back burnt')]).toEqual([true, false])
    expect(canTell(aJoint(), 'back cold')).toBe(false)
  })
  it('is not of a rod that was lit again on a day of stubs, nor of a surface that was noted at the fit-up', () => {
    expect(canTell(aCoupon(), 'rod lit again')).toBe(true)
    expect(canTell(aCoupon({ ticket: { rods: 'stubs' } }), 'rod lit again')).toBe(false)
    expect(canTell(aCoupon(), 'plate dirty')).toBe(true)
  })
})

describe('pinholes in starts', () => {
  const bad = (document: CouponDocument, rod: TryMark['rod'] = 'new') =>
    document.marks
      .filter((mark): mark is TryMark => mark.kind === 'start')
      .map(mark => ({ ...setDegree(mark, 3), fault: 'pinholes', rod }) as TryMark)
      .reduce(putMark, document)
  const bareTip = (document: CouponDocument) =>
    diagnose(document, rules).causes.find(row => row.cause.id === 'bare tip')?.odds ?? 0
  it('may be a bare tip on any day where a used rod was lit again, by the marks or by word', () => {
    const plain = bareTip(bad(aCoupon()))
    expect(plain).toBeLessThan(0.05)
    expect(bareTip(bad(aCoupon(), 'stub'))).toBeGreaterThan(4 * plain)
    expect(bareTip({ ...bad(aCoupon()), answers: { 'rod lit again': 'yes' } })).toBeGreaterThan(4 * plain)
    expect(bareTip({ ...bad(aCoupon()), answers: { 'rod lit again': 'no' } })).toBeLessThan(0.001)
  })
})

// A tack that was not feathered keeps the root from tying in where it lies: common practice.
describe('a root that is not through', () => {
  const joint = aJoint()
  const rootLane = joint.beads.find(bead => bead.face === 'root')!
  const tackAt = (atMm: number, feathered: boolean) =>
    aFitUp(inches(1 / 8), { tacks: [{ atMm, lengthMm: inches(1 / 2), feathered }] })
  const notThrough = (atInch: number, fitUp?: ReturnType<typeof aFitUp>) =>
    diagnose(
      putMark(
        { ...joint, ...(fitUp ? { fitUp } : {}) },
        aFlaw({
          flaw: 'incomplete penetration',
          beadId: rootLane.id,
          side: null,
          sizeMm: null,
          atMm: inches(atInch),
          toMm: inches(atInch + 0.5),
        }),
      ),
      rules,
    )
  const blunt = (...of: Parameters<typeof notThrough>) =>
    notThrough(...of).causes.find(row => row.cause.id === 'blunt tack')?.odds ?? 0
  it('at a tack that was left blunt is the tack, and is told so', () => {
    const told = notThrough(3, tackAt(inches(3), false))
    expect(told.causes[0]!.cause.id).toBe('blunt tack')
    expect(told.nextRun).toContain('ends of each tack')
  })
  it('is hardly the tack elsewhere, and never where all are feathered or none is kept', () => {
    expect(blunt(5.5, tackAt(inches(1), false))).toBeLessThan(0.25 * blunt(1, tackAt(inches(1), false)))
    expect(blunt(3, tackAt(inches(3), true))).toBeLessThan(0.001)
    expect(blunt(3)).toBeLessThan(0.001)
  })
})

describe('a restart that is not clean', () => {
  const stubs = aCoupon({ ticket: { rods: 'stubs' } })
  const lead = (fault: string) =>
    diagnose(
      stubs.marks
        .filter((mark): mark is TryMark => mark.kind === 'restart')
        .map(mark => ({ ...setDegree(mark, 3), fault }) as TryMark)
        .reduce(putMark, stubs as CouponDocument),
      rules,
    ).causes[0]!.cause.id
  it('is not brushed where it holds slag, and struck on a bare tip where it holds pinholes', () => {
    expect(lead('slag')).toBe('not cleaned')
    expect(lead('pinholes')).toBe('bare tip')
  })
})
