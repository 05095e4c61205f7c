import { describe, expect, it } from 'vitest'
import { DEFAULT_HOUSE_RULES as rules } from '../house'
import { testPieceOf } from '../qualification'
import { couponOf, NOBODY } from '.'
import { inches } from '../units'
import { pipe, plate } from '../qualification/exampleTests'
import { ISO_9606, PIPELINE, PRESSURE, STRUCTURAL, type CodeBook, type TestTaken } from '../qualification'
import {
  bendVerdict,
  formerFor,
  isBendMark,
  originOf,
  sayOrigin,
  specimenKinds,
  specimenPlan,
  withBendMarks,
  type Opening,
  type OpeningKind,
  type Specimen,
} from '.'

const opening = (length: number, more: Partial<Opening> = {}): Opening => ({
  length,
  atMm: 10,
  corner: false,
  kind: 'opening',
  depth: null,
  ...more,
})

describe('how many specimens, and of what kind', () => {
  const kinds = (book: CodeBook, test: TestTaken) => specimenKinds(book, test, 'specimens').kinds.join(' ')
  const four = 'side side side side'
  it.each([
    // AWS D1.1 Tables 4.11 and 9.14 (2015).
    ['3/8 plate', STRUCTURAL, plate('3G'), 'face root'],
    ['just over 3/8', STRUCTURAL, plate('3G', inches(0.38)), 'side side'],
    ['1 in plate', STRUCTURAL, plate('3G', inches(1)), 'side side'],
    ['10 mm plate', STRUCTURAL, plate('3G', 10, { unit: 'mm' }), 'face root'],
    ['NPS 2, 6G', STRUCTURAL, pipe('6G', 2.375, 0.218), 'root face root face'],
    ['NPS 2, 2G', STRUCTURAL, pipe('2G', 2.375, 0.218), 'face root'],
    ['NPS 6 Sch 80, 6G', STRUCTURAL, pipe('6G', 6.625, 0.432), four],
    ['NPS 6 Sch 80, 2G', STRUCTURAL, pipe('2G', 6.625, 0.432), 'side side'],
    ['a wall of just 3/8', STRUCTURAL, pipe('6G', 6.625, 0.375), 'root face root face'],
    ['4 in, heavy', STRUCTURAL, pipe('6G', 4, 0.5), 'root face root face'],
    ['fillet', STRUCTURAL, plate('3F', inches(1 / 2)), 'fillet break macro'],
    // ASME IX QW-452.1(a).
    ['3/8 plate', PRESSURE, plate('3G'), 'face root'],
    ['3/4 plate', PRESSURE, plate('3G', inches(3 / 4)), 'side side'],
    ['just under 3/4', PRESSURE, plate('3G', inches(0.749)), 'face root'],
    ['6G', PRESSURE, pipe('6G', 6.625, 0.432), 'root face root face'],
    ['6G, 3/4 wall', PRESSURE, pipe('6G', 8.625, 0.75), four],
    // ISO 9606-1 Table 13.
    ['10 mm', ISO_9606, plate('3G', 10, { unit: 'mm' }), 'face root'],
    ['12 mm', ISO_9606, plate('3G', 12, { unit: 'mm' }), 'side side'],
    ['fillet', ISO_9606, plate('2F', 12, { unit: 'mm' }), 'fillet break'],
    // API 1104 Table 3.
    ['2.374', PIPELINE, pipe('6G', 2.374, 0.2), 'nick-break nick-break root root'],
    ['4.5 in at the boundary', PIPELINE, pipe('6G', 4.5, 0.337), 'nick-break nick-break root root'],
    ['6.625', PIPELINE, pipe('6G', 6.625, 0.28), 'tensile tensile nick-break nick-break root root'],
    ['12.75 at the boundary', PIPELINE, pipe('6G', 12.75, 0.5), 'tensile tensile nick-break nick-break root root'],
    [
      '14 in',
      PIPELINE,
      pipe('6G', 14, 0.375),
      'tensile tensile tensile tensile nick-break nick-break nick-break nick-break root root face face',
    ],
    [
      '14 in, heavy',
      PIPELINE,
      pipe('6G', 14, 0.501),
      `tensile tensile tensile tensile nick-break nick-break nick-break nick-break ${four}`,
    ],
    ['4.5, heavy', PIPELINE, pipe('6G', 4.5, 0.6), 'nick-break nick-break side side'],
  ] as const)('%s: $1.name', (_, book, test, expected) => expect(kinds(book, test)).toBe(expected))
  it('a film in place of bends, where the book takes one', () => {
    expect(specimenPlan(STRUCTURAL, plate('3G'), inches(7), 'radiograph').specimens).toEqual([
      { id: 'radiograph-1', kind: 'radiograph', fromMm: 0, toMm: inches(7) },
    ])
    expect(() => specimenKinds(STRUCTURAL, plate('3F', 12), 'radiograph')).toThrow(/takes no radiograph/)
    expect(() => specimenKinds(PIPELINE, plate('3G'), 'specimens')).toThrow('API 1104 has no groove test on plate')
  })
})

describe('where they are cut', () => {
  it('inside the piece and not over each other, an inch from either end; on a pipe at 45 degrees', () => {
    const [face, root] = specimenPlan(STRUCTURAL, plate('3G'), inches(7)).specimens
    expect(face!.fromMm).toBeGreaterThanOrEqual(inches(1))
    expect(root!.fromMm).toBeGreaterThanOrEqual(face!.toMm)
    expect(root!.toMm).toBeLessThanOrEqual(inches(6))
    expect(face!.toMm - face!.fromMm).toBeCloseTo(inches(1.5), 9)
    expect(
      specimenPlan(STRUCTURAL, pipe('6G', 6.625, 0.28), 360).specimens.map(one =>
        Math.round((one.fromMm + one.toMm) / 2),
      ),
    ).toEqual([45, 135, 225, 315])
  })
  it('are as wide as the book prints them: 1 in on small pipe, 38 mm on large in a metric house', () => {
    const wide = (book: CodeBook, test: TestTaken) => {
      const [one] = specimenPlan(book, test, 500).specimens
      return one!.toMm - one!.fromMm
    }
    expect(
      [
        wide(STRUCTURAL, pipe('6G', 2.375, 0.218)),
        wide(STRUCTURAL, pipe('6G', 6.625, 0.28, { unit: 'mm' })),
        wide(PRESSURE, pipe('6G', 2.375, 0.218)),
        wide(STRUCTURAL, plate('3G', inches(1))),
      ].map(mm => Math.round(mm * 10) / 10),
    ).toEqual([25.4, 38, 19.1, 9.5])
  })
  it('a break takes what the macro leaves; a piece that is too short is refused', () => {
    const [broken, macro] = specimenPlan(STRUCTURAL, plate('3F', inches(1 / 2)), inches(8)).specimens
    expect(broken!.toMm - broken!.fromMm + (macro!.toMm - macro!.fromMm)).toBeCloseTo(inches(6), 6)
    expect(() => specimenPlan(STRUCTURAL, plate('3G'), inches(4))).toThrow(/a longer piece is wanted/)
  })
  // AWS D1.1, guided bend jig: A over t at 3/8 in is 4, 5 1/3, 6 2/3; at each boundary.
  it.each([
    [345, 4],
    [346, 16 / 3],
    [619, 16 / 3],
    [620, 20 / 3],
  ])('%d MPa: former %d t', (mpa, times) =>
    expect(formerFor(STRUCTURAL, mpa).plunger.in / (3 / 8)).toBeCloseTo(times, 9),
  )
  it('formers hold both printed values', () =>
    expect(STRUCTURAL.formers.map(row => row.plunger.mm)).toEqual([38.1, 50.8, 63.5]))
})

describe('bends', () => {
  const corner = (length: number, kind: OpeningKind = 'opening') => opening(length, { corner: true, kind })
  const many = (count: number, length: number) => Array.from({ length: count }, () => opening(length))
  it.each([
    // AWS D1.1 4.9.3.3 (2015), 6.10.3.3 (2020).
    [STRUCTURAL, 'in', [opening(1 / 8)], 'passes'],
    [STRUCTURAL, 'in', [opening(0.1251)], 'fails'],
    [STRUCTURAL, 'mm', [opening(3)], 'passes'],
    [STRUCTURAL, 'mm', [opening(3.1)], 'fails'],
    [STRUCTURAL, 'in', many(3, 1 / 8), 'passes'],
    [STRUCTURAL, 'in', [...many(3, 1 / 8), opening(0.04)], 'fails'],
    [STRUCTURAL, 'in', [...many(3, 1 / 8), opening(1 / 32)], 'passes'],
    [STRUCTURAL, 'mm', [...many(3, 3), opening(1.1)], 'fails'],
    [STRUCTURAL, 'mm', [...many(3, 3), opening(1)], 'passes'],
    [STRUCTURAL, 'in', [corner(1 / 4)], 'passes'],
    [STRUCTURAL, 'in', [corner(0.26)], 'another specimen'],
    [STRUCTURAL, 'in', [corner(0.15, 'slag')], 'fails'],
    [STRUCTURAL, 'in', [corner(1 / 8, 'lack of fusion')], 'passes'],
    [STRUCTURAL, 'in', [corner(0.26), opening(0.2)], 'fails'],
    // ASME IX QW-163: no sum, corners only from slag or lack of fusion.
    [PRESSURE, 'in', many(4, 1 / 8), 'passes'],
    [PRESSURE, 'in', [opening(0.13)], 'fails'],
    [PRESSURE, 'in', [corner(0.5)], 'passes'],
    [PRESSURE, 'in', [corner(0.13, 'slag')], 'fails'],
    // ISO 9606-1: 3 mm and more fails; 1 to 3 mm sum to 10 mm.
    [ISO_9606, 'mm', [opening(2.9)], 'passes'],
    [ISO_9606, 'mm', [opening(3)], 'fails'],
    [ISO_9606, 'mm', many(4, 2.5), 'passes'],
    [ISO_9606, 'mm', many(4, 2.6), 'fails'],
    [ISO_9606, 'mm', [opening(0.9), ...many(4, 2.5)], 'passes'],
    [ISO_9606, 'mm', [opening(1), ...many(4, 2.5)], 'fails'],
    // API 1104 5.6.4.3: half the wall if less; corners under 1/4 in.
    [PIPELINE, 'in', [opening(1 / 8)], 'passes'],
    [PIPELINE, 'in', [opening(0.13)], 'fails'],
    [PIPELINE, 'in', [corner(0.24)], 'passes'],
    [PIPELINE, 'in', [corner(0.25)], 'fails'],
  ] as const)('$0.name, %s: $2.length, %s', (book, unit, openings, outcome) =>
    expect(bendVerdict(book, unit, openings, 1).outcome).toBe(outcome),
  )
  it('half a thin wall is the pipeline’s limit, and says so', () => {
    expect(bendVerdict(PIPELINE, 'in', [opening(0.11)], 0.2)).toMatchObject({
      outcome: 'fails',
      reasons: ['An opening over half the wall'],
      clause: 'API 1104 5.6.4.3',
    })
    expect(bendVerdict(PIPELINE, 'in', [opening(0.1)], 0.2).outcome).toBe('passes')
  })
})

describe('an opening laid back on the coupon', () => {
  const coupon = couponOf(testPieceOf('open-root-3g'), NOBODY, rules)
  const bend = (kind: Specimen['kind'], fromMm = 40): Specimen => ({ id: `${kind}-1`, kind, fromMm, toMm: fromMm + 38 })
  const restart = coupon.marks.find(
    mark => mark.kind === 'restart' && coupon.passes!.find(pass => pass.role === 'cap')!.id === mark.beadId,
  )!
  it('a face bend comes from the cap, a root bend from the root, a side bend from its depth', () => {
    const roles = (kind: Specimen['kind'], depth: number | null) =>
      originOf(coupon, bend(kind), opening(0.1, { depth })).passes.map(pass => pass.role)[0]
    expect([roles('face', null), roles('root', null), roles('side', 0.02), roles('side', 0.99)]).toEqual([
      'cap',
      'root',
      'cap',
      'root',
    ])
    expect(originOf(coupon, bend('root'), opening(0.1)).atMm).toBe(50)
  })
  it('names the restart within half an inch, and none further off', () => {
    const at = (mm: number) =>
      sayOrigin(originOf(coupon, bend('face', restart.atMm - 10), opening(0.1, { atMm: 10 + mm })))
    expect([at(0), at(12), at(13)]).toEqual(['cap, at a restart', 'cap, at a restart', 'cap, in the run of the bead'])
  })
  it('goes round a pipe past 12 o’clock', () => {
    const round = couponOf(testPieceOf('pipe-2-6g'), NOBODY, rules)
    const seam = Math.max(...round.beads.map(bead => bead.toMm))
    expect(
      originOf(round, { id: 'root-1', kind: 'root', fromMm: seam - 5, toMm: seam + 20 }, opening(0.1, { atMm: 15 }))
        .atMm,
    ).toBeCloseTo(10, 9)
  })
  it('is marked once as what it is; a plain opening is no flaw, and a record taken back leaves none', () => {
    const marked = withBendMarks(
      coupon,
      [{ specimen: bend('root'), openings: [opening(1 / 8, { kind: 'slag' }), opening(0.1)] }],
      inches,
    )
    const found = marked.marks.filter(isBendMark)
    expect(found).toMatchObject([{ flaw: 'slag', found: 'bend', beadId: 'p1' }])
    expect((found[0] as { toMm: number }).toMm - found[0]!.atMm).toBeCloseTo(inches(1 / 8), 6)
    expect(
      withBendMarks(marked, [{ specimen: bend('root'), openings: [opening(1 / 8, { kind: 'slag' })] }], inches).marks,
    ).toEqual(marked.marks)
    expect(withBendMarks(marked, [], inches).marks).toEqual(coupon.marks)
  })
})
