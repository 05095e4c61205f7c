import { describe, expect, it } from 'vitest'
import { diagnose } from '../diagnosis'
import { DEFAULT_HOUSE_RULES } from '../house'
import { inches } from '../units'
import { currentRuns, isOnRun, layOutAgain, meanCurrent, putMark, type Bead, type CouponDocument } from '.'
import { aCoupon, aFlaw, aJoint } from './example'

const rules = DEFAULT_HOUSE_RULES
const turnedOn = (document: CouponDocument, beadId: string, turned: Bead['turned']): CouponDocument => ({
  ...document,
  beads: document.beads.map(bead => (bead.id === beadId && turned ? { ...bead, turned } : bead)),
})
const at = (currentA: number, inch = 3) => ({ atMm: inches(inch), currentA })
const currents = (document: CouponDocument) => currentRuns(document, rules).map(run => run.currentA)

describe('what a coupon was run at', () => {
  const pad = aCoupon()
  it('is the ticket’s current where the panel was not turned, and each pass’s own', () => {
    expect(currents(pad)).toEqual([125])
    const joint = aJoint()
    expect(currents(joint)).toEqual(joint.passes!.map(pass => pass.currentA))
  })
  it('stays where it was turned to, until it is turned again', () => {
    expect(currents(turnedOn(pad, 'b3', at(140)))).toEqual([125, 140])
    const twice = turnedOn(turnedOn(pad, 'b3', at(140)), 'b5', at(125))
    const [first, second] = currentRuns(twice, rules)
    expect(first!.stretches.map(one => one.beadId)).toEqual(['b1', 'b2', 'b3', 'b5', 'b6'])
    expect(second!.stretches.map(one => one.beadId)).toEqual(['b3', 'b4', 'b5'])
  })
  it('lies on the side of the turn that the arc went to, whichever hand', () => {
    const late = aFlaw({ beadId: 'b3', atMm: inches(4), toMm: inches(5) })
    const on = (document: CouponDocument) =>
      currentRuns(document, rules)
        .filter(run => isOnRun(document, run, late))
        .map(run => run.currentA)
    expect(on(turnedOn(pad, 'b3', at(140)))).toEqual([140])
    expect(on(turnedOn(aCoupon({ ticket: { travel: 'right to left' } }), 'b3', at(140)))).toEqual([125])
  })
  it('of a pass ends with it: the next is set anew', () => {
    const joint = aJoint()
    const first = joint.passes![0]!
    const lane = joint.beads.find(bead => bead.passId === first.id && bead.face !== 'root')!
    const turned = turnedOn(joint, lane.id, { atMm: (lane.fromMm + lane.toMm) / 2, currentA: first.currentA + 20 })
    expect(currents(turned)).toEqual([
      first.currentA,
      first.currentA + 20,
      ...joint.passes!.slice(1).map(pass => pass.currentA),
    ])
  })
  it('over a whole bead is the mean by length', () => {
    expect(meanCurrent(turnedOn(pad, 'b3', at(140)), { id: 'b3' })).toBeCloseTo(132.5)
    expect(meanCurrent(turnedOn(pad, 'b3', at(140, 1.5)), { id: 'b3' })).toBeCloseTo(136.25)
    expect(() => meanCurrent(pad, { id: 'b9' })).toThrow(RangeError)
  })
  it('is kept where the coupon is laid out again, as long as the bead is there', () => {
    const turned = turnedOn(pad, 'b3', at(140))
    expect(layOutAgain(turned, { beadCount: 5 }, rules).beads[2]!.turned).toEqual(at(140))
    expect(currents(layOutAgain(turned, { beadCount: 2 }, rules))).toEqual([125])
  })
})

// A set-up value outside its window is evidence for its cause: common practice.
describe('undercut after the panel was turned up out of the window', () => {
  const undercut = (document: CouponDocument, beads: readonly number[]) =>
    beads
      .map(n => aFlaw({ id: `u${n}`, beadId: `b${n}`, side: 'both', severity: 2, atMm: 0, toMm: inches(6) }))
      .reduce(putMark, document)
  const hot = turnedOn(aCoupon(), 'b3', { atMm: 1, currentA: 175 })
  it('is the current there, told from what it was turned to', () => {
    const told = diagnose(undercut(hot, [4, 5, 6]), rules)
    expect(told.causes[0]!.cause.id).toBe('current high')
    expect(told.nextRun).toContain('to 150 A')
    expect(diagnose(undercut(aCoupon(), [4, 5, 6]), rules).causes[0]!.cause.id).not.toBe('current high')
  })
  it('is less surely the current where the undercut came before', () => {
    const odds = (beads: readonly number[]) =>
      diagnose(undercut(hot, beads), rules).causes.find(row => row.cause.id === 'current high')!.odds
    expect(odds([1, 2])).toBeLessThan(0.8 * odds([4, 5]))
  })
})
