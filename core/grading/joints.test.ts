import { describe, expect, it } from 'vitest'
import {
  newFlaw,
  newReading,
  putMark,
  setDegree,
  usualPiece,
  type CouponDocument,
  type Mark,
  type Piece,
  type GaugeKind,
} from '../coupon'
import { aJoint, EXAMPLE_PIPE } from '../coupon/example'
import { DEFAULT_HOUSE_RULES } from '../house'
import { inches } from '../units'
import { evidenceOf, gradeCoupon, measureCoupon, mostConvexity, offSize, sayLimit, sizeLimit, type ElementId } from '.'

const rules = DEFAULT_HOUSE_RULES
const pipe = aJoint()
const tee = aJoint(usualPiece('T'), { position: '2F' })
const measure = (document: CouponDocument, element: ElementId) =>
  measureCoupon(document, rules).elements.find(row => row.element === element)!
const reasons = (document: CouponDocument) => gradeCoupon(document, rules).reasons.map(reason => reason.text)
const with_ = (document: CouponDocument, ...marks: Mark[]) => marks.reduce(putMark, document)
const read = (document: CouponDocument, beadId: string, of: GaugeKind, size: number) =>
  newReading(
    `r-${of}-${size}`,
    of,
    { beadId, atMm: document.beads.find(bead => bead.id === beadId)!.fromMm + 5 },
    inches(size),
  )

describe('a joint as it opens', () => {
  it('moves on, with its starts, ends and tie-ins counted', () => {
    expect(gradeCoupon(pipe, rules).verdict).toBe('move on')
    expect(measure(pipe, 'start').tried).toBe(4)
    expect(measure(pipe, 'tie-in').tried).toBe(8)
    expect(measure(pipe, 'overlap').tried).toBe(1)
  })
  it('counts the root side once, apart from what was laid', () => {
    const round = Math.PI * inches(2.375)
    expect(measure(pipe, 'root').tried).toBeCloseTo(round, 6)
    expect(measure(pipe, 'run').tried).toBeCloseTo(4 * round, 6)
    expect(measure(tee, 'root').tried).toBe(0)
  })
})

describe('the root side', () => {
  const flaw = (id: 'incomplete penetration' | 'root concavity' | 'excess penetration', digit: 1 | 2 | 3) =>
    setDegree(newFlaw(pipe, 'f', id, { beadId: 'root-side', atMm: 60 }), digit)
  it('that is not through for an inch is not sound there, and the bead over it stays so', () => {
    const document = with_(pipe, { ...flaw('incomplete penetration', 2), atMm: 50, toMm: 50 + inches(1) } as Mark)
    expect(measure(document, 'root').tried - measure(document, 'root').sound).toBeCloseTo(inches(1), 6)
    expect(measure(document, 'run').sound).toBe(measure(document, 'run').tried)
    expect(reasons(document)).toEqual(['1 in of root side not sound'])
  })
  // AWS D1.1:2020 6.10.1 (2015 4.9.1), from memory: concavity to 1/16 in, melt-through to 1/8 in.
  it('may be concave by 1/16 in and stand through by 1/8 in, and no more', () => {
    const spoilt = (mark: Mark) => measure(with_(pipe, mark), 'root').markIds.length
    expect(spoilt(flaw('root concavity', 1))).toBe(0)
    expect(spoilt({ ...flaw('root concavity', 1), sizeMm: inches(1 / 16) } as Mark)).toBe(0)
    expect(spoilt({ ...flaw('root concavity', 1), sizeMm: inches(1 / 16) + 0.01 } as Mark)).toBe(1)
    expect(spoilt({ ...flaw('excess penetration', 1), sizeMm: inches(1 / 8) } as Mark)).toBe(0)
    expect(spoilt(flaw('excess penetration', 2))).toBe(1)
  })
})

describe('toes', () => {
  it('are those of what was laid: undercut beside the root, seen from behind, is the root’s', () => {
    const undercut = (beadId: string) => newFlaw(pipe, 'u', 'undercut', { beadId, atMm: 60 })
    const cap = pipe.beads.filter(bead => bead.face !== 'root').at(-1)!
    expect(measure(with_(pipe, undercut('root-side')), 'toes').markIds).toEqual([])
    expect(measure(with_(pipe, undercut(cap.id)), 'toes').markIds).toEqual(['u'])
  })
})

describe('sizes of a joint', () => {
  // AWS D1.1:2020 Table 7.8 (2015 Table 5.9), from memory.
  it.each([
    [1 / 4, 1 / 16],
    [5 / 16, 1 / 16],
    [0.32, 1 / 8],
    [0.99, 1 / 8],
    [1, 3 / 16],
    [2, 3 / 16],
  ])('a face of %s in may be convex by %s in', (face, most) => {
    expect(mostConvexity(inches(face))).toBeCloseTo(inches(most), 9)
  })
  it('a leg short by a 32nd is off, the leg that was asked for is not', () => {
    const short = with_(tee, read(tee, 'p1', 'upper leg', 7 / 32), read(tee, 'p1', 'lower leg', 1 / 4))
    expect(measure(short, 'size')).toMatchObject({ tried: 2, sound: 1 })
    expect(reasons(short)).toEqual(['Upper leg 7/32 in, wants 1/4 in or more'])
  })
  // Throat of a flat 1/4 in fillet: 0.707 × 1/4 in = 0.177 in (handbook arithmetic).
  it('a throat is held against 0.707 of the leg, convexity against the face', () => {
    const off = (of: GaugeKind, size: number) => offSize(tee, read(tee, 'p1', of, size), rules)
    expect([off('throat', 0.177), off('throat', 0.17)]).toEqual([false, true])
    expect([off('convexity', 1 / 8), off('convexity', 5 / 32)]).toEqual([false, true])
  })
  it('a cap goes no further than 1/16 in beyond each edge, takes in both, and stands by the house’s height', () => {
    const off = (of: GaugeKind, mm: number) => offSize(pipe, { ...read(pipe, 'p3-right', of, 1), valueMm: mm }, rules)
    const { lowMm, highMm } = sizeLimit(pipe, read(pipe, 'p3-right', 'width', 1), rules)!
    expect(highMm! - lowMm!).toBeCloseTo(2 * inches(1 / 16), 9)
    expect([
      off('width', lowMm! - 0.1),
      off('width', lowMm!),
      off('width', highMm!),
      off('width', highMm! + 0.1),
    ]).toEqual([true, false, false, true])
    expect([off('height', rules.reinforcementMm.high), off('height', rules.reinforcementMm.high + 0.1)]).toEqual([
      false,
      true,
    ])
  })
  it('nothing is laid down for a pad, nor under the last layer', () => {
    expect(sizeLimit(pipe, read(pipe, 'p1-right', 'height', 1), rules)).toBeNull()
    expect(
      sizeLimit(
        aJoint(usualPiece('pad'), { position: '1G' }),
        { id: 'r', kind: 'reading', of: 'width', beadId: 'b1', atMm: 1, valueMm: 50 },
        rules,
      ),
    ).toBeNull()
  })
  it('a limit is said as it is meant', () => {
    const source = { name: '', certainty: 'common practice' as const }
    expect(sayLimit({ lowMm: inches(1 / 16), highMm: inches(1 / 8), source }, 'in')).toBe('1/16 in to 1/8 in')
    expect(sayLimit({ lowMm: 0, highMm: inches(1 / 8), source }, 'in')).toBe('1/8 in or less')
    expect(sayLimit({ lowMm: inches(1 / 4), highMm: null, source }, 'mm')).toBe('6.4 mm or more')
  })
})

describe('what a joint adds to the record', () => {
  it('is counted by the rods that ran it: the root under one family, the cap under the other', () => {
    const poorRoot = setDegree(
      pipe.marks.find(mark => mark.id === 'p1-right-start')!,
      3,
    )
    const document = with_(pipe, poorRoot)
    const rows = evidenceOf(document, gradeCoupon(document, rules), rules)
    const starts = rows.filter(row => row.element === 'start')
    expect(starts).toEqual([
      { work: 'pipe', position: '6G', rodFamily: 'low hydrogen', element: 'start', tried: 2, sound: 2, workable: 0 },
      { work: 'pipe', position: '6G', rodFamily: 'cellulosic', element: 'start', tried: 2, sound: 1, workable: 0 },
    ])
    expect(rows.filter(row => row.element === 'root').map(row => row.rodFamily)).toEqual(['cellulosic'])
    expect(rows.filter(row => row.element === 'clean-up').map(row => row.rodFamily)).toEqual(['low hydrogen'])
  })
  it('adds up to what the whole measures', () => {
    const rows = evidenceOf(pipe, gradeCoupon(pipe, rules), rules)
    for (const element of ['start', 'tie-in', 'run', 'toes', 'ends'] as const)
      expect(rows.filter(row => row.element === element).reduce((sum, row) => sum + row.tried, 0)).toBeCloseTo(
        measure(pipe, element).tried,
        6,
      )
  })
  it('keeps a GTAW root apart', () => {
    const passes = pipe.passes!.map(pass =>
      pass.role === 'root' ? { ...pass, process: 'GTAW' as const, classification: 'ER70S-2' } : pass,
    )
    const document: CouponDocument = { ...pipe, passes, piece: EXAMPLE_PIPE as Piece }
    expect(new Set(evidenceOf(document, gradeCoupon(document, rules), rules).map(row => row.rodFamily))).toEqual(
      new Set(['low hydrogen', 'GTAW wire', 'cellulosic']),
    )
  })
})
