import { describe, expect, it } from 'vitest'
import { FULL_LADDER, rungNamed } from '../ladder'
import { testPieceOf } from '../qualification'
import { gainPerHour, isOwnJoint, likeness, practiceIn, workOfRung, workOfTest } from '.'

const rung = (name: string) => rungNamed(FULL_LADDER, name)!
const work = (name: string) => workOfRung(rung(name))
const test = (id: string) => workOfTest(testPieceOf(id))

/** Rough figures of the trade, as they stand: a change of any is to be seen. */
describe('how like a rung is to a test', () => {
  it.each([
    ['V with backing 2G', 'plate-2g', 'run', 1],
    ['V with backing 3G', 'plate-2g', 'run', 0.45],
    ['open root 2G', 'plate-2g', 'run', 0.8],
    ['pipe 2G', 'plate-2g', 'run', 0.7],
    ['T fillet 2F', 'plate-2g', 'run', 0.9 * 0.3],
    ['lap 2F', 'fillet-3f', 'run', 0.45 * 0.8],
    ['horizontal pad', 'plate-2g', 'run', 0.3],
    ['horizontal pad', 'plate-2g', 'restart', 0.7],
    ['flat pad', 'plate-2g', 'restart', 0.45 * 0.7],
    ['open root 2G', 'plate-2g', 'restart', 0.8],
    ['open root 3G', 'open-root-3g', 'root', 1],
    ['V with backing 3G', 'open-root-3g', 'root', 0],
    ['pipe 5G', 'pipe-2-6g', 'root', 0.9],
    ['open root 3G', 'pipe-2-6g', 'root', 0.45 * 0.6],
  ] as const)('%s for %s, of its %s: %d', (name, piece, element, wanted) =>
    expect(likeness(work(name), test(piece), element)).toBeCloseTo(wanted, 12),
  )
  it('is its own joint where piece, root and position are the same', () => {
    expect(isOwnJoint(work('V with backing 2G'), test('plate-2g'))).toBe(true)
    expect(isOwnJoint(work('V with backing 3G'), test('plate-2g'))).toBe(false)
    expect(isOwnJoint(work('open root 2G'), test('plate-2g'))).toBe(false)
    expect(isOwnJoint(work('pipe 6G'), test('pipe-2-6g'))).toBe(true)
  })
})

describe('what a coupon holds', () => {
  it('a pad is a pad’s worth of starts, ends and beads; a strip of restarts is restarts', () => {
    const pad = practiceIn(rung('flat pad'))
    expect(pad).toMatchObject({ start: 1, ends: 1, root: 0 })
    expect(pad.run).toBeGreaterThan(0.8)
    expect(pad.run).toBeLessThan(1.1)
    const strip = practiceIn(rung('restart strip'))
    expect(strip.restart!).toBeGreaterThan(2)
    expect(practiceIn(rung('open root 3G')).root).toBe(1)
    expect(practiceIn(rung('V with backing 3G')).root).toBe(0)
  })
})

it('what brings on toward a groove in an hour is that groove, not a fillet beside it', () => {
  const helps = [
    { element: 'run', name: 'Sound run', odds: 0.6, gain: 0.1 },
    { element: 'toes', name: 'Toes', odds: 0.6, gain: 0.1 },
  ] as const
  const piece = testPieceOf('plate-2g')
  const gain = (name: string) => gainPerHour(rung(name), helps, piece)
  for (const other of ['lap 2F', 'T fillet 2F', 'horizontal pad', 'V with backing 3G', 'restart strip'])
    expect(gain('V with backing 2G'), other).toBeGreaterThan(gain(other))
})
