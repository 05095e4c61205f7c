import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import {
  newReading,
  putMark,
  setDegree,
  usualPiece,
  type CouponDocument,
  type FlawMark,
  type Mark,
  type Piece,
  type GaugeKind,
} from '../coupon'
import { aCoupon, aFlaw, aJoint } from '../coupon/example'
import { inches, type LengthUnit } from '../units'
import {
  holdAgainst,
  limitOf,
  mostCovered,
  mostSpots,
  observer,
  OBSERVED,
  sayAmount,
  SHIPPED_SETS,
  type CriteriaSet,
  type ObservedId,
  type Sizes,
} from '.'

const setOf = (id: string): CriteriaSet => SHIPPED_SETS.find(set => set.id === id)!
const pipe = aJoint()
const plate = (thicknessMm: number) =>
  aJoint(
    {
      kind: 'plate groove',
      lengthMm: 400,
      thicknessMm,
      groove: { shape: 'V', gapMm: 6, landMm: 0, includedDegrees: 45, backing: true },
    },
    { position: '1G' },
  )
const cap = (document: CouponDocument) => document.passes!.at(-1)!.id
const flaw = (document: CouponDocument, change: Partial<FlawMark>, lane = cap(document)): Mark =>
  aFlaw({ beadId: document.beads.find(bead => bead.id.startsWith(lane))!.id, side: 'both', ...change })
const read = (document: CouponDocument, of: GaugeKind, valueMm: number) =>
  newReading(
    `r ${of} ${valueMm}`,
    of,
    { beadId: document.beads.find(bead => bead.id.startsWith(cap(document)))!.id, atMm: 50 },
    valueMm,
  )
const with_ = (document: CouponDocument, ...marks: Mark[]) => marks.reduce(putMark, document)
const row = (document: CouponDocument, set: string, observed: ObservedId, unit: LengthUnit = 'in') =>
  holdAgainst(document, setOf(set), unit).rows.find(one => one.criterion.observed === observed)
const outcome = (...of: Parameters<typeof row>) => row(...of)?.outcome

describe('windows that slide', () => {
  it('find the most in any inch, also where no ruler begins', () => {
    const spots = [10, 20, 30, 44].map((atMm, n) => ({ atMm, sizeMm: n + 1, markId: `p${n}` }))
    expect(mostSpots(spots, 25.4)).toEqual({ mm: 2 + 3 + 4, markIds: ['p1', 'p2', 'p3'] })
    expect(mostSpots([], 25.4).mm).toBe(0)
  })
  it('agree with trying every tenth of a millimetre', () => {
    const stretch = fc
      .tuple(fc.integer({ min: 0, max: 380 }), fc.integer({ min: 1, max: 60 }))
      .map(([from, long]) => ({ fromMm: from, toMm: from + long, markId: 's' }))
    fc.assert(
      fc.property(
        fc.array(stretch, { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 20, max: 200 }),
        (stretches, window) => {
          let best = 0
          for (let start = -window; start <= 460; start++) {
            let covered = 0
            for (let at = start; at < start + window; at++)
              if (stretches.some(one => at >= one.fromMm && at < one.toMm)) covered++
            best = Math.max(best, covered)
          }
          expect(mostCovered(stretches, window).mm).toBeCloseTo(best, 6)
        },
      ),
      { numRuns: 60 },
    )
  })
})

describe('what is observed', () => {
  it('is only what can be seen: the last layer and the root side', () => {
    expect(observer(with_(pipe, flaw(pipe, { flaw: 'crack' }, 'p1')))('cracks').value).toBe(0)
    expect(observer(with_(pipe, flaw(pipe, { flaw: 'crack' })))('cracks').value).toBe(1)
    expect(
      observer(with_(pipe, flaw(pipe, { flaw: 'incomplete penetration' }, 'root-side')))('not through').value,
    ).toBeCloseTo(inches(1), 6)
  })
  it('on two cap beads of one side it is summed along the seam, what overlaps once; on a pad bead by bead', () => {
    const joint = with_(
      pipe,
      flaw(pipe, { id: 'a', atMm: 20, toMm: 40 }, 'p3'),
      flaw(pipe, { id: 'b', atMm: 30, toMm: 60 }, 'p4'),
    )
    expect(observer(joint)('undercut in 12 in').value).toBeCloseTo(40, 6)
    const pad = with_(
      aCoupon(),
      aFlaw({ id: 'a', beadId: 'b1', atMm: 20, toMm: 40 }),
      aFlaw({ id: 'b', beadId: 'b2', atMm: 30, toMm: 60 }),
    )
    expect(observer(pad)('undercut in 12 in').value).toBeCloseTo(30, 6)
  })
  it('says when nobody gauged it', () => {
    expect(observer(pipe)('reinforcement').value).toBeNull()
    expect(sayAmount('reinforcement', null, 'in')).toBe('not gauged')
    expect(sayAmount('cracks', 0, 'in')).toBe('none')
    expect(sayAmount('undercut depth', inches(1 / 32), 'in')).toBe('1/32 in')
  })
  it('everything can be asked of every coupon', () => {
    for (const document of [aCoupon(), pipe, aJoint(usualPiece('T'), { position: '2F' })])
      for (const { id } of OBSERVED) expect(observer(document)(id).value ?? 0).toBeGreaterThanOrEqual(0)
  })
})

// AWS D1.1:2020 6.10.1 (2015 4.9.1), from memory: 1/32 in (1 mm) undercut, reinforcement 1/8 in (3 mm), root
// concavity 1/16 in (2 mm), melt-through 1/8 in (3 mm).
describe('the structural code’s visual for welder tests', () => {
  const undercut = (sizeMm: number, unit: LengthUnit) =>
    outcome(with_(pipe, flaw(pipe, { sizeMm })), 'd1.1 welder', 'undercut depth', unit)
  it('passes undercut at the limit and not beyond it, by the value that is printed in the house’s unit', () => {
    expect([undercut(inches(1 / 32), 'in'), undercut(inches(1 / 32) + 0.001, 'in')]).toEqual(['pass', 'fail'])
    expect([undercut(1, 'mm'), undercut(1.001, 'mm'), undercut(1, 'in')]).toEqual(['pass', 'fail', 'fail'])
  })
  it('has no allowance for a short length of it, as production has', () => {
    const short = with_(
      plate(inches(1 / 2)),
      flaw(plate(inches(1 / 2)), { sizeMm: inches(3 / 64), atMm: 50, toMm: 60 }),
    )
    expect(outcome(short, 'd1.1 welder', 'undercut depth')).toBe('fail')
    expect(holdAgainst(short, setOf('d1.1 production'), 'in').rows.filter(one => one.outcome === 'fail')).toEqual([])
  })
  it.each([
    ['reinforcement', 'height', 1 / 8],
    ['stands through', 'penetration', 1 / 8],
  ] as const)('%s is held at %s reading %s in', (observed, of, most) => {
    const at = (mm: number) => {
      const mark =
        of === 'penetration' ? newReading('p', of, { beadId: 'root-side', atMm: 50 }, mm) : read(pipe, of, mm)
      return outcome(with_(pipe, mark), 'd1.1 welder', observed)
    }
    expect([at(inches(most)), at(inches(most) + 0.01)]).toEqual(['pass', 'fail'])
  })
  it('cracks, overlap and craters are never allowed', () => {
    expect(outcome(with_(pipe, flaw(pipe, { flaw: 'overlap', atMm: 10, toMm: 11 })), 'd1.1 welder', 'overlap')).toBe(
      'fail',
    )
    const crater = {
      ...setDegree(
        pipe.marks.find(mark => mark.id === 'p4-right-end')!,
        3,
      ),
      fault: 'crater',
    } as Mark
    expect(outcome(with_(pipe, crater), 'd1.1 welder', 'craters')).toBe('fail')
  })
  it('goes by the weld: a square butt is a groove, a pad is neither groove nor fillet', () => {
    const applied = (document: CouponDocument) =>
      holdAgainst(document, setOf('d1.1 welder'), 'in').rows.map(one => one.criterion.observed)
    expect(applied(aJoint(usualPiece('square butt'), { position: '1G' }))).toContain('not through')
    expect(applied(aJoint(usualPiece('T'), { position: '2F' }))).toEqual(
      expect.arrayContaining(['leg short by', 'convexity']),
    )
    expect(applied(aCoupon())).toEqual(['cracks', 'craters', 'undercut depth', 'overlap', 'not fused'])
  })
  it('a failing line leads to its marks, and one failing line fails the whole', () => {
    const held = holdAgainst(with_(pipe, flaw(pipe, { id: 'deep', sizeMm: 2 })), setOf('d1.1 welder'), 'in')
    expect(held.rows.find(one => one.outcome === 'fail')!.markIds).toEqual(['deep'])
    expect(held.outcome).toBe('fail')
    expect(holdAgainst(pipe, setOf('d1.1 welder'), 'in').outcome).toBe('not gauged')
  })
})

// AWS D1.1:2020 Table 8.1 (2015 Table 6.1), static, from memory: up to 1/16 in for 2 in in any 12 in under 1 in of
// plate; pores 3/8 in an inch, 3/4 in a foot.
describe('the production table', () => {
  const deep = (fromMm: number, toMm: number) =>
    with_(plate(inches(1 / 2)), flaw(plate(inches(1 / 2)), { sizeMm: inches(1 / 16), atMm: fromMm, toMm }))
  it('allows two inches of the deeper undercut in a foot', () => {
    expect(outcome(deep(20, 20 + inches(2)), 'd1.1 production', 'deep undercut in 12 in')).toBe('pass')
    expect(outcome(deep(20, 20.1 + inches(2)), 'd1.1 production', 'deep undercut in 12 in')).toBe('fail')
    expect(row(plate(inches(1.25)), 'd1.1 production', 'deep undercut in 12 in')).toBeUndefined()
  })
  it('sums pores in any inch', () => {
    const pores = (gapMm: number) =>
      [0, 1, 2].reduce(
        (document, n) =>
          putMark(
            document,
            flaw(plate(12), {
              id: `p${n}`,
              flaw: 'porosity',
              sizeMm: inches(5 / 32),
              atMm: 50 + n * gapMm,
              toMm: 50 + n * gapMm,
            }),
          ),
        plate(12),
      )
    expect(outcome(pores(10), 'd1.1 production', 'pores in 1 in')).toBe('fail')
    expect(outcome(pores(20), 'd1.1 production', 'pores in 1 in')).toBe('pass')
  })
})

// API 1104, 21st ed., from memory: undercut to 1/32 in (0.8 mm) or 12.5 % of the wall, the smaller; 2 in in any 12 in.
describe('the pipeline standard’s undercut', () => {
  const limit = (piece: Piece, unit: LengthUnit) =>
    row(
      aJoint(piece, { position: '5G', travel: 'down', diameterMm: inches(3 / 32), currentA: 85 }),
      '1104 visual',
      'undercut depth',
      unit,
    )!.limit
  it('goes by the wall where that is thin', () => {
    const of = (name: string): Piece => ({ ...usualPiece('pipe butt'), pipe: name }) as Piece
    expect(limit(of('2 Sch 40'), 'in')).toBeCloseTo(inches(0.154) * 0.125, 9)
    expect(limit(of('8 Sch 80'), 'in')).toBeCloseTo(inches(1 / 32), 9)
    expect(limit(of('8 Sch 80'), 'mm')).toBe(0.8)
  })
})

// ISO 5817:2014 Table 1, t > 3 mm, from memory: D, C, B.
describe('ISO 5817', () => {
  const sizes = (thicknessMm: number, widthMm: number, throatMm: number): Sizes => ({ thicknessMm, widthMm, throatMm })
  const limit = (level: string, observed: ObservedId, of: Sizes) =>
    limitOf(setOf(`iso 5817 ${level}`).criteria.find(one => one.observed === observed)!.limit, of, 'mm')
  it.each([
    ['undercut depth', sizes(4, 10, 3), [0.8, 0.4, 0.2]],
    ['undercut depth', sizes(20, 10, 3), [1, 0.5, 0.5]],
    ['reinforcement', sizes(10, 20, 3), [6, 4, 3]],
    ['reinforcement', sizes(10, 60, 3), [10, 7, 5]],
    ['convexity', sizes(10, 10, 5), [3.5, 2.5, 2]],
    ['legs differ by', sizes(10, 10, 5), [3, 2.75, 2.25]],
    ['root concavity', sizes(5, 10, 5), [1, 0.5, 0.25]],
    ['misalignment', sizes(10, 10, 5), [2.5, 1.5, 1]],
    ['misalignment', sizes(40, 10, 5), [5, 4, 3]],
    ['largest pore', sizes(5, 10, 5), [1.5, 1, 0]],
    ['stands through', sizes(10, 10, 5), [5, 4, 3]],
    ['sagging', sizes(4, 10, 5), [1, 0.4, 0.2]],
  ] as const)('%s: levels D, C, B', (observed, of, expected) => {
    expect(['D', 'C', 'B'].map(level => limit(level, observed, of))).toEqual(expected.map(mm => expect.closeTo(mm, 9)))
  })
  it('each level allows no more than the one below it', () => {
    for (const { criteria } of [setOf('iso 5817 B')])
      for (const criterion of criteria) {
        const [d, c] = ['D', 'C'].map(level =>
          setOf(`iso 5817 ${level}`).criteria.find(one => one.observed === criterion.observed),
        )
        const of = (one: typeof criterion | undefined) => (one ? limitOf(one.limit, sizes(12, 15, 6), 'mm') : Infinity)
        expect(of(c)).toBeGreaterThanOrEqual(of(criterion) - 1e-9)
        expect(of(d)).toBeGreaterThanOrEqual(of(c) - 1e-9)
      }
  })
})

// ASME IX QW-194, from memory: no figure for undercut or reinforcement.
it('the pressure code gives no figure for undercut or reinforcement', () => {
  expect(setOf('ix visual').criteria.map(one => one.observed)).toEqual(['cracks', 'not through', 'not fused'])
})

it('every shipped line names its clause and says that it is from memory', () => {
  for (const { criteria } of SHIPPED_SETS) {
    expect(new Set(criteria.map(one => one.id)).size).toBe(criteria.length)
    for (const { clause, certainty } of criteria)
      expect(clause.length > 3 && certainty === 'from memory, check your copy').toBe(true)
  }
})

describe('ISO welder test (ISO 9606-1, clause 7)', () => {
  const [welder, levelB, levelC] = ['iso 9606', 'iso 5817 B', 'iso 5817 C'].map(setOf) as [
    CriteriaSet,
    CriteriaSet,
    CriteriaSet,
  ]
  const limitsOf = (set: CriteriaSet, observed: ObservedId) =>
    set.criteria.filter(row => row.observed === observed).map(row => row.limit)
  it.each(['undercut depth', 'reinforcement', 'convexity', 'stands through'] as const)(
    '%s is let off to level C',
    observed => {
      expect(limitsOf(welder, observed)).toEqual(limitsOf(levelC, observed))
      expect(limitsOf(welder, observed)).not.toEqual(limitsOf(levelB, observed))
    },
  )
  it('all else is level B, and every line names both standards', () => {
    for (const row of levelB.criteria.filter(
      one => !['undercut depth', 'reinforcement', 'convexity', 'stands through'].includes(one.observed),
    ))
      expect(limitsOf(welder, row.observed)).toEqual(limitsOf(levelB, row.observed))
    expect(welder.criteria.every(row => row.clause.startsWith('ISO 9606-1 7: ISO 5817 Table 1'))).toBe(true)
  })
})

it('what a bend laid open lay inside: no visual counts it', () => {
  const document = aJoint(usualPiece('plate groove', true), { position: '3G', travel: 'up' })
  const cap = document.beads.at(-1)!
  const slag: FlawMark = {
    id: 'bend-face-1-1',
    kind: 'flaw',
    flaw: 'slag',
    beadId: cap.id,
    atMm: 40,
    toMm: 46,
    side: null,
    severity: 2,
    sizeMm: null,
  }
  expect(observer(putMark(document, slag))('slag on the surface').value).toBe(6)
  expect(observer(putMark(document, { ...slag, found: 'bend' }))('slag on the surface').value).toBe(0)
})
