import { describe, expect, it } from 'vitest'
import { seededRandom } from '../statistics'
import { stripOf, type CouponDocument } from '../coupon'
import { aCoupon, aJoint } from '../coupon/example'
import { QUARTERS, type Quarter } from './couponPicture'
import type { Corners } from './plane'
import { gaugedBeads, readerWidths, type WidthHeld } from './widthsHeld'

const held = (...off: readonly number[]): WidthHeld[] => off.map(by => ({ gaugedMm: 9.03 + by, seenMm: 9.03 }))

describe('a reader’s widths held against pictures', () => {
  it('have a mean and an interval by Student’s t, as worked by hand', () => {
    // Mean 0.3, deviation sqrt(0.1 / 4) = 0.15811; t of 4 degrees 2.776445 (handbook tables): half 0.19632.
    const found = readerWidths(held(0.1, 0.2, 0.3, 0.4, 0.5))!
    expect(found.beads).toBe(5)
    expect(found.meanMm).toBeCloseTo(0.3, 9)
    expect(found.strayMm).toBeCloseTo(0.158114, 5)
    expect(found.lowMm).toBeCloseTo(0.3 - 0.196324, 4)
    expect(found.highMm).toBeCloseTo(0.3 + 0.196324, 4)
  })
  it('say nothing from fewer than five beads', () => expect(readerWidths(held(0.1, 0.2, 0.3, 0.4))).toBeNull())
  it('leave out what was taken from the picture itself', () => {
    const taken = { gaugedMm: 9, seenMm: 9.03 }
    expect(readerWidths([...held(0.1, 0.2, 0.3, 0.4), taken, taken])).toBeNull()
    expect(readerWidths([...held(0.1, 0.2, 0.3, 0.4, 0.5), taken])!.meanMm).toBeCloseTo(0.3, 9)
  })
  it('hold the true mean in 95 of 100 intervals', () => {
    const random = seededRandom(11)
    const held95 = Array.from({ length: 2000 }, () => {
      const { lowMm, highMm } = readerWidths(held(...Array.from({ length: 7 }, () => 0.4 + 0.3 * random.normal())))!
      return lowMm < 0.4 && highMm > 0.4
    }).filter(Boolean).length
    expect(held95 / 2000).toBeGreaterThan(0.935)
    expect(held95 / 2000).toBeLessThan(0.965)
  })
})

describe('beads that can be held against a picture', () => {
  const pad = aCoupon()
  const [first, last] = [pad.beads[0]!, pad.beads.at(-1)!]
  const gauge = (beadId: string, of: 'width' | 'height', valueMm: number, atMm = 40) =>
    ({ id: `${beadId} ${of} ${atMm}`, kind: 'reading', of, beadId, atMm, valueMm }) as const
  const corners = [0, 1, 2, 3].map(n => ({ x: n, y: n })) as unknown as Corners
  const shows = (side: 'face' | 'root', quarter: Quarter | null = null) =>
    ({ side, state: 'slag off', lies: { corners, acrossMm: 100, quarter } }) as const
  const held = (document: CouponDocument, of: ReturnType<typeof shows>) =>
    gaugedBeads(document, of).map(({ bead, gaugedMm }) => [bead.id, gaugedMm])

  it('are those whose width was gauged on the side that is seen, with no later bead over a toe', () => {
    const marks = [gauge(last.id, 'width', 9.5), gauge(last.id, 'height', 2), gauge(first.id, 'width', 9)]
    expect(held({ ...pad, marks }, shows('face'))).toEqual([[last.id, 9.5]])
    expect(held({ ...pad, marks }, shows('root'))).toEqual([])
  })
  it('count once, by the last gauge on them', () => {
    const marks = [gauge(last.id, 'width', 9.5), gauge(last.id, 'width', 9.8, 90)]
    expect(held({ ...pad, marks }, shows('face'))).toEqual([[last.id, 9.8]])
  })
  it('of a pipe count on the quarter where they were gauged, and on no other', () => {
    const pipe = aJoint()
    const cap = pipe.beads.at(-1)!
    const marks = [gauge(cap.id, 'width', 12, 0.6 * stripOf(pipe.piece).lengthMm)]
    expect(QUARTERS.map(quarter => held({ ...pipe, marks }, shows('face', quarter)).length)).toEqual([0, 0, 1, 0])
  })
})
