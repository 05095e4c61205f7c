import { describe, expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES as rules } from '../house'
import { ISO_9606, PIPELINE, PRESSURE, STRUCTURAL, testPieceOf, type CodeBook } from '../qualification'
import { inches } from '../units'
import { testPlan } from '.'

const bends = (piece: string, book: CodeBook) =>
  testPlan(testPieceOf(piece), rules, book)
    .strips.map(strip => strip.bend)
    .join(' ')

describe('where a test is laid open, by the book it is taken by', () => {
  it.each([
    // AWS D1.1 Tables 4.11 and 9.14.
    ['plate-3g', STRUCTURAL, 'face root'],
    ['thick-3g', STRUCTURAL, 'side side'],
    ['pipe-2-6g', STRUCTURAL, 'root face root face'],
    ['pipe-6-6g', STRUCTURAL, 'side side side side'],
    // ASME IX QW-452.1(a): a wall under 3/4 in is bent face and root.
    ['pipe-6-6g', PRESSURE, 'root face root face'],
    ['thick-3g', PRESSURE, 'side side'],
    // API 1104 Table 3: a nick-break lays open all of the wall; a tensile tells little of flaws.
    ['pipe-2-6g', PIPELINE, 'side side root root'],
    ['pipe-6-6g', PIPELINE, 'side side root root'],
    // A fillet is broken open at its root.
    ['fillet-3f', STRUCTURAL, 'root'],
    ['fillet-2f', ISO_9606, 'root'],
  ] as const)('%s by $1.name: %s', (piece, book, expected) => expect(bends(piece, book)).toBe(expected))
  it('as wide as the book cuts it', () => {
    const [structural] = testPlan(testPieceOf('pipe-2-6g'), rules, STRUCTURAL).strips
    const [pressure] = testPlan(testPieceOf('pipe-2-6g'), rules, PRESSURE).strips
    expect(
      [structural!.toMm - structural!.fromMm, pressure!.toMm - pressure!.fromMm].map(mm => mm / inches(1)),
    ).toEqual([expect.closeTo(1, 9), expect.closeTo(0.75, 9)])
  })
})

describe('how much of the bead a strip puts to the proof', () => {
  it('half of what lies in a face or a root bend, all of a side bend or a nick-break, and half a length of its own', () => {
    const lengths = (piece: string, book: CodeBook) => {
      const plan = testPlan(testPieceOf(piece), rules, book)
      const beads = plan.tasks.filter(task => task.cell.element === 'run').length
      return plan.strips.map(strip => ({
        own: strip.lengths - 0.5,
        full: (beads * (strip.toMm - strip.fromMm)) / 152.4,
      }))
    }
    for (const { own, full } of lengths('plate-3g', STRUCTURAL)) expect(own).toBeCloseTo(full / 2, 9)
    for (const { own, full } of lengths('thick-3g', STRUCTURAL)) expect(own).toBeCloseTo(full, 9)
    // A face bend of 1 1/2 in from four passes: 0.5 and half of one.
    expect(testPlan(testPieceOf('plate-3g'), rules).strips[0]!.lengths).toBeCloseTo(1, 9)
  })
})

describe('what a test asks of the hand', () => {
  const families = (piece: string) =>
    new Set(testPlan(testPieceOf(piece), rules).tasks.map(task => `${task.role} ${task.cell.rodFamily}`))
  it('a GTAW root counts under its own wire, and the fill under its rod', () => {
    expect(families('pipe-6-6g-gtaw').has('root GTAW wire')).toBe(true)
    expect([...families('pipe-6-6g-gtaw')].some(row => row.startsWith('root') && row.endsWith('cellulosic'))).toBe(
      false,
    )
    expect(families('pipe-6-6g').has('root cellulosic')).toBe(true)
    expect(families('pipe-6-6g').has('cap low hydrogen')).toBe(true)
  })
  it('a fillet counts as a fillet, a plate as a groove, and only an open root is seen from behind', () => {
    const work = (piece: string) => new Set(testPlan(testPieceOf(piece), rules).tasks.map(task => task.cell.work))
    expect([work('fillet-3f'), work('plate-3g'), work('pipe-2-6g')]).toEqual([
      new Set(['fillet']),
      new Set(['groove']),
      new Set(['pipe']),
    ])
    expect(
      ['plate-3g', 'open-root-3g', 'pipe-2-6g', 'fillet-3f'].map(piece => testPlan(testPieceOf(piece), rules).rootSeen),
    ).toEqual([false, true, true, false])
  })
  it('a thicker plate has more in it', () => {
    const count = (piece: string) => testPlan(testPieceOf(piece), rules).tasks.length
    expect(count('thick-4g')).toBeGreaterThan(2 * count('plate-4g'))
  })
  it('a book that does not test the piece is refused', () =>
    expect(() => testPlan(testPieceOf('plate-3g'), rules, PIPELINE)).toThrow(/has no groove test on plate/))
})
