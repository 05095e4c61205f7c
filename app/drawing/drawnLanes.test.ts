import { describe, expect, it } from 'vitest'
import { usualPiece } from '~~/core/coupon'
import { aCoupon, aJoint } from '~~/core/coupon/example'
import { planStack } from '~~/core/deposit'
import { inches } from '~~/core/units'
import { drawnLanes, rowsOf } from './drawnLanes'
import { stackPaths } from './stackPaths'

const pipe = aJoint()
const ids = (...from: Parameters<typeof drawnLanes>) => drawnLanes(...from).beads.map(bead => bead.id)

describe('one pass', () => {
  it('is drawn as it lay when its layer was done, and only that layer keeps its marks', () => {
    expect(ids(pipe, 'one pass', 'p1-left')).toEqual(['p1-right', 'p1-left'])
    const cap = drawnLanes(pipe, 'one pass', 'p3-right')
    expect(cap.beads).toHaveLength(8)
    expect([...cap.open]).toEqual(['p3-right', 'p3-left', 'p4-right', 'p4-left'])
  })
  it('the root side shows nothing of the face', () => expect(ids(pipe, 'one pass', 'root-side')).toEqual(['root-side']))
  it('one side of a T shows nothing of the other', () => {
    const both = aJoint({ ...usualPiece('T'), sides: 2 } as typeof pipe.piece, { position: '2F' })
    expect([ids(both, 'one pass', 'p1'), ids(both, 'one pass', 'p2')]).toEqual([['p1'], ['p2']])
  })
  it('a pad has all its beads, whatever the view', () => {
    for (const view of ['one pass', 'all passes'] as const)
      expect(drawnLanes(aCoupon(), view, 'b3')).toMatchObject({ inRows: false, beads: { length: 6 } })
  })
})

describe('all passes', () => {
  const drawn = drawnLanes(pipe, 'all passes', 'p1-left')
  it('stand in rows that do not touch, root side lowest, the halves of a pass in one', () => {
    expect(rowsOf(pipe).map(row => row.key)).toEqual(['root', 'p1', 'p2', 'p3', 'p4'])
    const heights = [...new Set(drawn.beads.map(bead => bead.offsetMm))]
    expect(heights).toEqual([...heights].sort((a, b) => a - b))
    expect(heights).toHaveLength(5)
    for (const bead of drawn.beads) expect(bead.widthMm).toBeLessThan(heights[1]! - heights[0]!)
    expect(drawn.open.size).toBe(9)
  })
  it('keep their places along the seam', () => {
    for (const bead of drawn.beads)
      expect(bead).toMatchObject({ fromMm: pipe.beads.find(one => one.id === bead.id)!.fromMm })
  })
})

describe('a section as paths', () => {
  const groove = { thicknessMm: inches(3 / 8), gapMm: inches(1 / 4), landMm: 0, includedDegrees: 45 }
  const job = {
    position: '1G' as const,
    coreMm: inches(1 / 8),
    rootCoreMm: inches(1 / 8),
    stringersOnly: true,
    overlap: 0.5,
    stopUnderMm: 1.6,
    capBeyondMm: 1.6,
    reinforcementMm: { low: 1.6, high: 3.2 },
  }
  it.each([
    ['V with backing', { kind: 'V', groove, backing: true }, true, false],
    ['open V', { kind: 'V', groove: { ...groove, landMm: 2 }, backing: false }, false, false],
    ['double V', { kind: 'double V', groove: { ...groove, thicknessMm: 25, landMm: 2 } }, true, false],
    ['fillet', { kind: 'fillet', legMm: 8, thicknessMm: 10 }, false, true],
  ] as const)('%s: what lies under it, and whether it is turned', (_, shape, under, turned) => {
    const paths = stackPaths(planStack({ ...job, shape }), shape)
    expect(paths.plate).toMatch(/^M.* Z$/)
    expect(paths.plate).not.toMatch(/NaN|undefined/)
    expect([paths.below !== '', paths.turn !== undefined, paths.seam !== '']).toEqual([under, turned, turned])
    expect(paths.box.width).toBeGreaterThan(shape.kind === 'fillet' ? shape.legMm : groove.gapMm)
  })
})
