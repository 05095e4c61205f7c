import { describe, expect, it } from 'vitest'
import { seededRandom } from '../statistics'
import { aCoupon } from '../coupon/example'
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
  const gauge = (beadId: string, of: 'width' | 'height', valueMm: number) =>
    ({ id: `${beadId} ${of}`, kind: 'reading', of, beadId, atMm: 40, valueMm }) as const
  const read = {
    ...pad,
    marks: [gauge(last.id, 'width', 9.5), gauge(last.id, 'height', 2), gauge(first.id, 'width', 9)],
  }
  it('are those whose width was gauged on the side that is seen, with no later bead over a toe', () => {
    expect(gaugedBeads(read, 'face').map(({ bead, gaugedMm }) => [bead.id, gaugedMm])).toEqual([[last.id, 9.5]])
    expect(gaugedBeads(read, 'root')).toEqual([])
  })
})
