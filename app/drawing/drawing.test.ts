import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { newFlaw, standsUpright, type FlawMark } from '~~/core/coupon'
import { aCoupon, aJoint, EXAMPLE_PLATE } from '~~/core/coupon/example'
import { DISCONTINUITIES } from '~~/core/trade'
import { inches } from '~~/core/units'
import { flawShape } from './flawPath'
import { placementOf } from './placement'

const lying = placementOf(EXAMPLE_PLATE, false)
const upright = placementOf(EXAMPLE_PLATE, true)

describe('where a plate lies on the screen', () => {
  it('a lying plate has its first bead at the bottom and its left edge on the left', () => {
    expect(lying.upright).toBe(false)
    expect(lying.point(0, 0)).toEqual({ x: 0, y: inches(4) })
    expect(lying.point(inches(6), inches(4))).toEqual({ x: inches(6), y: 0 })
  })

  it('an upright plate has up at the top and its first bead on the left', () => {
    expect([upright.upright, upright.width, upright.height]).toEqual([true, inches(4), inches(6)])
    expect(upright.point(0, 10)).toEqual({ x: 10, y: inches(6) })
    expect(upright.point(inches(6), 10)).toEqual({ x: 10, y: 0 })
  })

  it('a plate welded up or down stands, a pipe lies unrolled whichever way it is welded', () => {
    for (const travel of ['up', 'down'] as const)
      expect(standsUpright(aCoupon({ ticket: { position: '3G', travel } }))).toBe(true)
    expect([standsUpright(aCoupon()), standsUpright(aJoint())]).toEqual([false, false])
  })

  it('a place goes to the screen and back', () => {
    const mm = (most: number) => fc.double({ min: 0, max: most, noNaN: true })
    fc.assert(
      fc.property(fc.constantFrom(lying, upright), mm(inches(6)), mm(inches(4)), (placement, at, offset) => {
        const { x, y } = placement.point(at, offset)
        const back = placement.place(x, y)
        expect(back.atMm).toBeCloseTo(at, 9)
        expect(back.offsetMm).toBeCloseTo(offset, 9)
      }),
    )
  })

  it('the lying frame, transformed, is where the points are', () => {
    // rotate(-90) takes (x, y) to (y, −x); translate(0 L) then moves it down by L.
    const [at, offset] = [40, 25]
    const [x, y] = [at, upright.across(offset)]
    expect(upright.transform).toBe(`translate(0 ${inches(6)}) rotate(-90)`)
    expect({ x: y, y: inches(6) - x }).toEqual(upright.point(at, offset))
  })
})

describe('how a flaw is drawn', () => {
  const coupon = aCoupon()
  const bead = coupon.beads[1]!
  const flaw = (id: FlawMark['flaw'], change: Partial<FlawMark> = {}): FlawMark => ({
    ...newFlaw(coupon, 'f', id, { beadId: bead.id, atMm: 70 }),
    ...change,
  })
  const numbers = (d: string) => (d.match(/-?\d+(\.\d+)?(e-?\d+)?/g) ?? []).map(Number)

  it('each kind of crack, pore and tool mark has a sign of its own', () => {
    for (const row of DISCONTINUITIES.filter(one => one.forms)) {
      const drawn = row.forms!.map(form => flawShape(flaw(row.id, { form: form.id }), bead, lying).d)
      expect(new Set(drawn).size, row.id).toBe(row.forms!.length)
      for (const d of drawn) expect(d).not.toMatch(/NaN|undefined/)
    }
  })

  it.each(DISCONTINUITIES.map(row => row.id))('%s has a line of its own, of finite numbers', id => {
    const { d, strokeMm } = flawShape(flaw(id), bead, lying)
    expect(d).toMatch(/^M/)
    expect(d).not.toMatch(/NaN|undefined|Infinity/)
    expect(numbers(d).length).toBeGreaterThan(2)
    expect(strokeMm).toBeGreaterThanOrEqual(0)
  })

  it('no two kinds are drawn alike', () => {
    const shapes = DISCONTINUITIES.map(row =>
      flawShape(flaw(row.id, { atMm: 60, toMm: 90, side: row.sided ? 'both' : null }), bead, lying),
    ).map(shape => `${shape.d} ${shape.filled}`)
    expect(new Set(shapes).size).toBe(DISCONTINUITIES.length)
  })

  it('undercut lies on the toe it is on: the upper one is nearer the top of the screen', () => {
    const height = (side: 'upper' | 'lower') => numbers(flawShape(flaw('undercut', { side }), bead, lying).d)[1]!
    expect(height('upper')).toBeLessThan(lying.across(bead.offsetMm))
    expect(height('lower')).toBeGreaterThan(lying.across(bead.offsetMm))
  })

  it('undercut on both toes is drawn twice, and deeper undercut broader', () => {
    expect(flawShape(flaw('undercut', { side: 'both' }), bead, lying).d.match(/M/g)).toHaveLength(2)
    const breadth = (sizeMm: number) => flawShape(flaw('undercut', { sizeMm }), bead, lying).strokeMm
    expect(breadth(1.5)).toBeGreaterThan(breadth(0.4))
  })

  it('worse porosity has more pores', () => {
    const pores = (severity: 1 | 2 | 3) => flawShape(flaw('porosity', { severity }), bead, lying).d.match(/M/g)!.length
    expect([pores(1), pores(2), pores(3)]).toEqual([2, 3, 4])
  })

  it('the same flaw is drawn the same each time', () => {
    expect(flawShape(flaw('slag'), bead, lying)).toEqual(flawShape(flaw('slag'), bead, lying))
  })
})
