import { describe, expect, it } from 'vitest'
import { aCoupon, aJoint } from '../coupon/example'
import { isBare } from './bareBead'

describe('a bead whose toes are both seen', () => {
  it('is the last of a pad, whose beads lie over one another, and each of those that only touch', () => {
    const pad = aCoupon()
    expect(pad.beads.map(bead => isBare(pad, bead))).toEqual([false, false, false, false, false, true])
    const apart = { ...pad, beads: pad.beads.map((bead, n) => ({ ...bead, offsetMm: 8 + n * bead.widthMm })) }
    expect(apart.beads.map(bead => isBare(apart, bead))).toEqual(apart.beads.map(() => true))
  })
  it('of a joint is one of the last layer, or the root side', () => {
    const pipe = aJoint()
    const bare = pipe.beads.filter(bead => isBare(pipe, bead))
    expect(bare.length).toBeGreaterThan(0)
    const last = Math.max(...pipe.passes!.map(pass => pass.layer))
    for (const bead of bare)
      expect(bead.face === 'root' || pipe.passes!.find(pass => pass.id === bead.passId)!.layer === last).toBe(true)
  })
})
